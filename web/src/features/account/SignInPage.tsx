import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { api, dataOf } from '../../api/client'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Logo } from '../../ui/Logo'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { reachQuery, sessionQuery } from './queries'

const FIELD = 'mt-1 block w-full min-h-12 rounded-plain border border-edge bg-card px-3 text-lg'

export function SignInPage() {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const cameFrom: unknown = useLocation().state
  const reach = useQuery(reachQuery)
  const [callSign, setCallSign] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const signIn = useMutation({
    mutationFn: async () => dataOf(await api.POST('/api/session', { body: { callSign, passphrase } })),
    onSuccess: (observer) => {
      queries.clear() // nothing of an earlier observer stays
      queries.setQueryData(sessionQuery.queryKey, observer)
      navigate(typeof cameFrom === 'string' ? cameFrom : '/today', { replace: true })
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    signIn.mutate()
  }

  return (
    <main className="mx-auto grid min-h-dvh max-w-md content-center gap-6 p-6">
      <Logo />
      <div>
        <PageTitle>Sign in</PageTitle>
        <h1 className="text-3xl">Which of the two is it?</h1>
        <p className="mt-2 text-quiet">
          Read the tree character by character. Every reading is weighed, and the reasons stay with the call.
        </p>
      </div>
      <form onSubmit={submit} className="grid gap-4">
        <label className="font-semibold">
          Call sign
          <input
            className={FIELD}
            value={callSign}
            onChange={(event) => setCallSign(event.target.value)}
            autoComplete="username"
            autoCapitalize="words"
            required
            maxLength={limits.SignInDto.callSign.longest}
          />
        </label>
        <label className="font-semibold">
          Passphrase
          <input
            className={FIELD}
            type="password"
            value={passphrase}
            onChange={(event) => setPassphrase(event.target.value)}
            autoComplete="current-password"
            required
            maxLength={limits.SignInDto.passphrase.longest}
          />
        </label>
        {signIn.isError && <Notice tone="wrong">{wordsOf(signIn.error)}</Notice>}
        <Button type="submit" look="main" disabled={signIn.isPending}>
          Sign in
        </Button>
      </form>
      {reach.data && reach.data.length > 0 && (
        <section className="border-t border-line pt-4">
          <h2 className="text-lg">On a tablet</h2>
          <p className="text-quiet">On the same network, open</p>
          <ul>
            {reach.data.map((address) => (
              <li key={address} className="figure">
                {address}
              </li>
            ))}
          </ul>
          <p className="text-quiet">
            If the browser warns of the certificate, compare it with the one on this machine before you trust
            it.
          </p>
        </section>
      )}
    </main>
  )
}
