import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, dataOf } from '../../api/client'
import { FACULTIES, type Faculty } from '../../api/codes'
import { useKeptFlag } from '../../api/kept'
import { wordsOf } from '../../api/problem'
import type { Observer } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { chooseTheme, type Theme, theme } from '../../ui/theme'
import { rememberSignedIn, sessionQuery } from './queries'
import { Tokens } from './Tokens'

const LACKED: Readonly<Record<Faculty, string>> = {
  smell: 'I do not smell',
  'red-green': 'I do not tell red from green',
}

const LIGHTS = [
  { value: 'day', text: 'day' },
  { value: 'dusk', text: 'dusk' },
  { value: 'sun', text: 'bright sun' },
] as const

type Props = {
  readonly observer: Observer
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly onSignOut: () => void
  /** Signs out on every device. */
  readonly onSignOutEverywhere: () => void
}

/** What the application should know about its observer, and how it looks to them. */
export function YouSheet({ observer, open, onOpenChange, onSignOut, onSignOutEverywhere }: Props) {
  const queries = useQueryClient()
  const [look, setLook] = useState(theme)
  const [cover, setCover] = useKeptFlag(`cover.${observer.callSign}`)
  const change = useMutation({
    mutationFn: async (lacking: Faculty[]) =>
      dataOf(await api.PUT('/api/session/lacking', { body: { lacking } })),
    onSuccess: (answer) => {
      rememberSignedIn(answer)
      queries.setQueryData(sessionQuery.queryKey, answer)
      queries.invalidateQueries({ queryKey: ['surveys'] }) // every tree is weighed anew
    },
  })
  const lacking = change.isPending ? change.variables : observer.lacking
  const toggle = (faculty: Faculty) =>
    change.mutate(
      lacking.includes(faculty) ? lacking.filter((one) => one !== faculty) : [...lacking, faculty],
    )
  return (
    <Sheet title={observer.callSign} open={open} onOpenChange={onOpenChange}>
      <div className="grid gap-5">
        <fieldset>
          <legend className="font-semibold">Senses differ</legend>
          <p className="mb-2 text-quiet">
            Checks that ask for what you lack are offered to you last and count less. It is kept with what you
            sign.
          </p>
          {FACULTIES.map((faculty) => (
            <label key={faculty} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-thistle"
                checked={lacking.includes(faculty)}
                onChange={() => toggle(faculty)}
              />
              {LACKED[faculty]}
            </label>
          ))}
          {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
        </fieldset>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-thistle"
            checked={cover}
            onChange={() => setCover(!cover)}
          />
          Cover the answers: show what a state would mean only after one is chosen
        </label>
        <div>
          <p className="mb-1 font-semibold">Light</p>
          <OneOf<Theme>
            label="Light"
            options={LIGHTS}
            value={look}
            onChange={(chosen) => {
              chooseTheme(chosen)
              setLook(chosen)
            }}
          />
        </div>
        <p className="flex flex-wrap gap-x-5">
          <Link
            to="/instruments"
            className="min-h-11 content-center text-thistle underline"
            onClick={() => onOpenChange(false)}
          >
            Instruments: a caliper that sends what it reads
          </Link>
          <Link
            to="/scale-card"
            className="min-h-11 content-center text-thistle underline"
            onClick={() => onOpenChange(false)}
          >
            Scale card, to print
          </Link>
        </p>
        <div className="flex flex-wrap gap-2">
          <Button className="flex-1" onClick={onSignOut}>
            Sign out
          </Button>
          <Button look="quiet" onClick={onSignOutEverywhere}>
            On every device
          </Button>
        </div>
        <Tokens />
      </div>
    </Sheet>
  )
}
