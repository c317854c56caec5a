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
import { reachQuery, rememberSignedIn, sessionQuery } from './queries'

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
      rememberSignedIn(observer)
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
      {reach.data && reach.data.addresses.length > 0 && (
        <section className="border-t border-line pt-4">
          <h2 className="text-lg">On a tablet</h2>
          <p className="text-quiet">On the same network, open</p>
          <ul>
            {reach.data.addresses.map((address) => (
              <li key={address} className="figure">
                {address}
              </li>
            ))}
          </ul>
          {reach.data.authority ? (
            <Trust print={reach.data.authority} />
          ) : (
            <p className="text-quiet">
              If the browser warns of the certificate, compare it with the one on this machine before you
              trust it.
            </p>
          )}
        </section>
      )}
    </main>
  )
}

const SYSTEMS = [
  {
    name: 'Android',
    steps:
      'Open the file: Settings, Security, More security settings, Install from storage, CA certificate. Then open the address anew in the browser.',
  },
  {
    name: 'iPad and iPhone',
    steps:
      'Open the file and allow the profile, install it under Settings, General, VPN and device management, then switch it on under General, About, Certificate trust settings.',
  },
  {
    name: 'Windows',
    steps:
      'Open the file, Install certificate, Current user, and choose the store “Trusted root certification authorities”.',
  },
  {
    name: 'macOS',
    steps: 'Open the file in Keychain Access, then under Trust choose “Always trust”.',
  },
  {
    name: 'Linux',
    steps:
      'In the browser’s settings, Privacy and security, Certificates, Authorities: import the file and trust it for websites.',
  },
] as const

/** How a tablet comes to trust this server, which working without a network needs. */
function Trust({ print }: { readonly print: string }) {
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer font-semibold text-thistle">
        Trust this server, so that the tablet works without a network too
      </summary>
      <div className="grid gap-3">
        <p>
          <a className="font-semibold text-thistle underline" href="/api/reach/authority" download>
            Fetch the certificate of its authority
          </a>{' '}
          on the tablet and install it once:
        </p>
        <dl className="grid gap-2">
          {SYSTEMS.map(({ name, steps }) => (
            <div key={name}>
              <dt className="font-semibold">{name}</dt>
              <dd>{steps}</dd>
            </div>
          ))}
        </dl>
        <p className="text-quiet">
          Whoever holds the key of that authority could pose as any site on this tablet: install it only if
          this machine is yours or your lead’s, and its SHA-256 print is the same there:
        </p>
        <p className="figure text-sm break-all">{print}</p>
      </div>
    </details>
  )
}
