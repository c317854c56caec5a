import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { api, dataOf, requireDone } from '../../api/client'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { dayAndTime } from '../../ui/words'
import { tokensQuery } from './queries'

/** Tokens by which the observer's own scripts call the API; a secret is shown once, when it is made. */
export function Tokens() {
  const queries = useQueryClient()
  const tokens = useQuery(tokensQuery)
  const { surveys } = useSurvey()
  const [made, setMade] = useState<Made>()
  const refresh = () => queries.invalidateQueries(tokensQuery)
  const takeBack = useMutation({
    mutationFn: async (tokenId: string) =>
      requireDone(await api.DELETE('/api/tokens/{tokenId}', { params: { path: { tokenId } } })),
    onSuccess: (_, tokenId) => setMade((one) => (one?.id === tokenId ? undefined : one)),
    onSettled: () => void refresh(), // not waited for: without a server it would never end
  })
  const failed = takeBack.error ?? tokens.error
  return (
    <details className="rounded-plain border border-line px-3 py-1">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        Tokens for scripts
      </summary>
      <p className="mb-2 text-quiet">
        A script of yours calls the API with a token instead of your passphrase. What it writes is yours. The
        API tells itself at <span className="figure">/api/docs</span>.
      </p>
      {made && (
        <Notice tone="plain">
          Shown this once, so keep it now:{' '}
          <code className="figure block break-all select-all">{made.secret}</code>
        </Notice>
      )}
      {failed && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
      <ul className="divide-y divide-line">
        {tokens.data?.map((token) => (
          <li key={token.id} className="flex flex-wrap items-center gap-x-3 py-1">
            <span className="min-w-0 flex-1">
              <b className="break-all">{token.name}</b>, for{' '}
              {token.scope === 'reading'
                ? 'reading'
                : (surveys.find((one) => one.id === token.surveyId)?.name ?? 'one survey')}
              <span className="block text-sm text-quiet">
                {token.lastUsedAt ? `last used ${dayAndTime(token.lastUsedAt)}` : 'never used'}
              </span>
            </span>
            <Button
              look="quiet"
              disabled={takeBack.isPending}
              onClick={() => takeBack.mutate(token.id)}
              aria-label={`Take back ${token.name}`}
            >
              Take back
            </Button>
          </li>
        ))}
      </ul>
      <NewToken
        surveys={surveys}
        onMade={(one) => {
          setMade(one)
          refresh()
        }}
      />
    </details>
  )
}

const READING = 'reading'

type Made = { readonly id: string; readonly secret: string }

type NewTokenProps = {
  readonly surveys: readonly { readonly id: string; readonly name: string }[]
  readonly onMade: (made: Made) => void
}

function NewToken({ surveys, onMade }: NewTokenProps) {
  const [id, setId] = useState(() => crypto.randomUUID())
  const [name, setName] = useState('')
  const [use, setUse] = useState(READING)
  const make = useMutation({
    mutationFn: async () =>
      dataOf(
        await api.PUT('/api/tokens/{tokenId}', {
          params: { path: { tokenId: id } },
          body: { name, ...(use === READING ? { scope: 'reading' } : { scope: 'survey', surveyId: use }) },
        }),
      ),
    onSuccess: ({ secret }) => {
      setId(crypto.randomUUID())
      setName('')
      onMade({ id, secret })
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    make.mutate()
  }
  return (
    <form onSubmit={submit} className="grid gap-3 py-2">
      <Field
        label="Name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        required
        maxLength={limits.NewToken.name.longest}
        hint="what the script is for"
      />
      <Choice
        label="It may"
        options={[
          { value: READING, text: 'read what you may read' },
          ...surveys.map((one) => ({ value: one.id, text: `read and write in ${one.name}` })),
        ]}
        value={use}
        onChange={setUse}
      />
      {make.isError && <Notice tone="wrong">{wordsOf(make.error)}</Notice>}
      <Button type="submit" disabled={make.isPending}>
        Make a token
      </Button>
    </form>
  )
}
