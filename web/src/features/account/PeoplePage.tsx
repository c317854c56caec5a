import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { api, dataOf, requireDone } from '../../api/client'
import { choiceOf, ROLES, type Role } from '../../api/codes'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import { peopleQuery } from '../../api/people'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { People, Person } from '../../api/types'
import { SignOffRules } from '../../common/practice/SignOffRules'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Confirm } from '../../ui/Confirm'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { PageTitle } from '../../ui/PageTitle'
import { Sheet } from '../../ui/Sheet'
import { useAsked } from '../../ui/useAsked'
import { counted, dayAndTime } from '../../ui/words'

const ROLE_CHOICES = ROLES.map(choiceOf)

/** Who may sign in, and who is invited; for leads. */
export function PeoplePage() {
  const observer = useObserver()
  const people = useQuery({ ...peopleQuery, enabled: observer.role === 'lead' })
  const [inviting, setInviting] = useAsked('inviting')
  const [link, setLink] = useState<Link>()
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-4xl">
        <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
          <PageTitle>People</PageTitle>
          <h1 className="text-2xl">People</h1>
          {observer.role === 'lead' && (
            <Button look="main" onClick={() => setInviting(true)}>
              Invite somebody
            </Button>
          )}
        </div>
        {observer.role !== 'lead' && <Notice tone="plain">Only a lead lets people in. Ask yours.</Notice>}
        {people.isError && <Notice tone="wrong">{wordsOf(people.error)}</Notice>}
        {people.data && <Lists people={people.data} onLink={setLink} />}
        {people.data && <SignOffRules />}
        {people.data && <IdleLimit minutes={people.data.idleMinutes} />}
      </div>
      <Sheet title="Invite somebody" open={inviting} onOpenChange={setInviting}>
        <InviteForm
          onLink={(made) => {
            setInviting(false)
            setLink(made)
          }}
        />
      </Sheet>
      <Sheet title="A link that works once" open={link !== undefined} onOpenChange={() => setLink(undefined)}>
        {link && <LinkWords link={link} />}
      </Sheet>
    </main>
  )
}

/** A link that was just made: whom it is for, and its secret, told this once. */
type Link = { readonly callSign: string; readonly token: string }

function LinkWords({ link }: { readonly link: Link }) {
  const address = `${window.location.origin}/welcome#${link.token}`
  const [copied, setCopied] = useState(false)
  return (
    <div className="grid gap-3">
      <p>
        Hand this to {link.callSign} yourself. Whoever opens it first chooses the passphrase. It works once,
        for a week, and is not shown again.
      </p>
      <p className="figure rounded-plain border border-edge bg-card p-3 break-all">{address}</p>
      <Button onClick={() => navigator.clipboard.writeText(address).then(() => setCopied(true))}>
        {copied ? 'Copied' : 'Copy the link'}
      </Button>
    </div>
  )
}

function Lists({ people, onLink }: { readonly people: People; readonly onLink: (link: Link) => void }) {
  const queries = useQueryClient()
  const withdraw = useMutation({
    mutationFn: async (invitationId: string) => {
      requireDone(
        await api.DELETE('/api/invitations/{invitationId}', {
          params: { path: { invitationId } },
        }),
      )
    },
    onSuccess: () => queries.invalidateQueries(peopleQuery),
  })
  return (
    <>
      <ul className="divide-y divide-line border-y border-line bg-card">
        {people.people.map((person) => (
          <li key={person.id}>
            <PersonRow person={person} onLink={onLink} />
          </li>
        ))}
      </ul>
      {people.invitations.length > 0 && (
        <>
          <h2 className="mt-6 mb-1 text-lg">Links that nobody used yet</h2>
          <ul className="divide-y divide-line border-y border-line bg-card">
            {people.invitations.map((one) => (
              <li key={one.id} className="flex flex-wrap items-center justify-between gap-3 px-3 py-2">
                <span>
                  <strong>{one.callSign}</strong>,{' '}
                  {one.resets ? 'for a new passphrase' : `invited as ${one.role}`}, until{' '}
                  {dayAndTime(one.expiresAt)}
                </span>
                <Button onClick={() => withdraw.mutate(one.id)}>Take it back</Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {withdraw.isError && <Notice tone="wrong">{wordsOf(withdraw.error)}</Notice>}
    </>
  )
}

function PersonRow({ person, onLink }: { readonly person: Person; readonly onLink: (link: Link) => void }) {
  const queries = useQueryClient()
  const self = useObserver().id === person.id
  const refresh = () => void queries.invalidateQueries(peopleQuery) // not waited for: without a server it would never end
  const path = { observerId: person.id }
  const role = useMutation({
    mutationFn: async (asked: Role) =>
      dataOf(await api.PUT('/api/people/{observerId}/role', { params: { path }, body: { role: asked } })),
    onSettled: refresh,
  })
  const disable = useMutation({
    mutationFn: async (disabled: boolean) =>
      dataOf(await api.PUT('/api/people/{observerId}/disabled', { params: { path }, body: { disabled } })),
    onSettled: refresh,
  })
  const reset = useMutation({
    mutationFn: async () =>
      dataOf(
        await api.PUT('/api/people/{observerId}/resets/{invitationId}', {
          params: { path: { ...path, invitationId: crypto.randomUUID() } },
        }),
      ),
    onSuccess: ({ token }) => {
      onLink({ callSign: person.callSign, token })
      return refresh()
    },
  })
  const error = role.error ?? disable.error ?? reset.error
  return (
    <div className="grid gap-2 px-3 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <span className="min-w-32 flex-1">
          <strong>{person.callSign}</strong>
          {self && ', you'}
          {person.disabledAt && (
            <span className="block text-quiet">kept out since {dayAndTime(person.disabledAt)}</span>
          )}
        </span>
        {!person.yours && (
          <span className="text-quiet">{person.role}; a lead of their surveys answers for them</span>
        )}
        {person.yours && (
          <>
            <OneOf
              label={`Role of ${person.callSign}`}
              options={ROLE_CHOICES}
              value={person.role}
              onChange={(asked) => role.mutate(asked)}
            />
            <Button onClick={() => reset.mutate()} disabled={reset.isPending}>
              New passphrase …
            </Button>
            {self ? (
              <span aria-hidden className="w-32 max-sm:hidden" />
            ) : (
              <span className="w-32">
                {person.disabledAt ? (
                  <Button disabled={disable.isPending} onClick={() => disable.mutate(false)}>
                    Let in again
                  </Button>
                ) : (
                  <Confirm
                    words="Keep out"
                    disabled={disable.isPending}
                    onConfirm={() => disable.mutate(true)}
                  >
                    {person.callSign} is signed out everywhere at once and cannot sign in any more. What they
                    read and signed stays. You can let them in again.
                  </Confirm>
                )}
              </span>
            )}
          </>
        )}
      </div>
      {error && <Notice tone="wrong">{wordsOf(error)}</Notice>}
    </div>
  )
}

const HOUR = 60
const DAY = 24 * HOUR

/** How long a session may lie still before it ends, for everybody. */
function IdleLimit({ minutes }: { readonly minutes: number }) {
  const queries = useQueryClient()
  const change = useMutation({
    mutationFn: async (asked: number) =>
      dataOf(await api.PUT('/api/people/idle-limit', { body: { minutes: asked } })),
    onSuccess: (people) => queries.setQueryData(peopleQuery.queryKey, people),
  })
  const usual = [15, HOUR, 4 * HOUR, 12 * HOUR, 3 * DAY, 14 * DAY]
  const options = usual.includes(minutes) ? usual : [...usual, minutes].sort((a, b) => a - b)
  return (
    <section aria-label="Sessions" className="mt-6 grid max-w-md gap-2">
      <h2 className="text-lg">Sessions</h2>
      <Choice
        label="A session ends after lying still for"
        options={options.map((one) => ({ value: String(one), text: lasting(one) }))}
        value={String(change.isPending ? change.variables : minutes)}
        onChange={(asked) => change.mutate(Number(asked))}
      />
      <p className="text-quiet">On everybody’s devices, and after a month in any case.</p>
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
    </section>
  )
}

function lasting(minutes: number): string {
  if (minutes % DAY === 0) return counted(minutes / DAY, 'day')
  return minutes % HOUR === 0 ? counted(minutes / HOUR, 'hour') : counted(minutes, 'minute')
}

function InviteForm({ onLink }: { readonly onLink: (link: Link) => void }) {
  const queries = useQueryClient()
  const { surveys, survey } = useSurvey()
  const [id] = useState(() => crypto.randomUUID())
  const [callSign, setCallSign] = useState('')
  const [role, setRole] = useState<Role>('crew')
  const [picked, setPicked] = useState<string>()
  const surveyId = picked ?? survey?.id ?? ''
  const invite = useMutation({
    mutationFn: async () =>
      dataOf(
        await api.PUT('/api/invitations/{invitationId}', {
          params: { path: { invitationId: id } },
          body: { callSign, role, surveyIds: surveyId === '' ? [] : [surveyId] },
        }),
      ),
    onSuccess: async ({ token }) => {
      await queries.invalidateQueries(peopleQuery)
      onLink({ callSign, token })
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    invite.mutate()
  }
  return (
    <form onSubmit={submit} className="grid gap-4">
      <Field
        label="Call sign"
        value={callSign}
        onChange={(event) => setCallSign(event.target.value)}
        required
        maxLength={limits.InvitationBody.callSign.longest}
        hint="People are known here by call signs, never by name."
      />
      <OneOf label="Role" options={ROLE_CHOICES} value={role} onChange={setRole} />
      <Choice
        label="Survey"
        options={[
          { value: '', text: 'none yet' },
          ...surveys.map((one) => ({ value: one.id, text: `${one.name} ${one.season}` })),
        ]}
        value={surveyId}
        onChange={setPicked}
      />
      {invite.isError && <Notice tone="wrong">{wordsOf(invite.error)}</Notice>}
      <Button type="submit" look="main" disabled={invite.isPending}>
        Make the link
      </Button>
    </form>
  )
}
