import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, dataOf, requireDone } from '../../api/client'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Logo } from '../../ui/Logo'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { rememberSignedIn, sessionQuery } from './queries'

/** What a link opens that lets somebody in, or lets them choose a new passphrase. */
export function WelcomePage() {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [token] = useState(() => window.location.hash.slice(1))
  const [passphrase, setPassphrase] = useState('')
  const [again, setAgain] = useState('')
  const session = useQuery(sessionQuery) // hands out the token against foreign pages
  const guest = useQuery({
    queryKey: ['welcome', token],
    queryFn: async () => dataOf(await api.POST('/api/welcome', { body: { token } })),
    enabled: session.isFetched,
    staleTime: Number.POSITIVE_INFINITY,
  })
  const accept = useMutation({
    mutationFn: async () => {
      requireDone(await api.PUT('/api/welcome', { body: { token, passphrase } }))
      return dataOf(
        await api.POST('/api/session', { body: { callSign: guest.data?.callSign ?? '', passphrase } }),
      )
    },
    onSuccess: (observer) => {
      rememberSignedIn(observer)
      queries.setQueryData(sessionQuery.queryKey, observer)
      navigate('/today', { replace: true })
    },
  })
  const differs = again !== '' && again !== passphrase
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (passphrase === again) accept.mutate()
  }
  return (
    <main className="mx-auto grid min-h-dvh max-w-md content-center gap-6 p-6">
      <Logo />
      {guest.isError && <Notice tone="wrong">{wordsOf(guest.error)}</Notice>}
      {guest.data && (
        <>
          <div>
            <PageTitle>Welcome</PageTitle>
            <h1 className="text-3xl">Welcome, {guest.data.callSign}</h1>
            <p className="mt-2 text-quiet">
              {guest.data.resets
                ? 'Choose a new passphrase. Until you do, the old one works.'
                : `You come in as ${guest.data.role}. Choose a passphrase of twelve letters or more; a few words are easy to keep.`}
            </p>
          </div>
          <form onSubmit={submit} className="grid gap-4">
            <Field
              label="Passphrase"
              type="password"
              autoComplete="new-password"
              value={passphrase}
              onChange={(event) => setPassphrase(event.target.value)}
              required
              maxLength={limits.AcceptBody.passphrase.longest}
            />
            <Field
              label="The same again"
              type="password"
              autoComplete="new-password"
              value={again}
              onChange={(event) => setAgain(event.target.value)}
              required
              maxLength={limits.AcceptBody.passphrase.longest}
              wrong={differs ? 'The two differ.' : undefined}
            />
            {accept.isError && <Notice tone="wrong">{wordsOf(accept.error)}</Notice>}
            <Button type="submit" look="main" disabled={accept.isPending || differs}>
              Choose it, and sign in
            </Button>
          </form>
        </>
      )}
    </main>
  )
}
