import { useEffect, useRef } from 'react'
import { useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import type { Character, PracticeResult, Sheet } from '../../api/types'
import { schoolWords } from '../../common/bench/useBeamView'
import type { Try } from '../../common/practice/practiceStore'
import { Button } from '../../ui/Button'
import { Key } from '../../ui/Key'
import { useKeys } from '../../ui/useKeys'
import { percent } from '../../ui/words'
import { Side } from './shown'
import { useNextTree } from './useNextTree'
import type { StandingTry } from './usePracticeTree'

type Props = { readonly one: Try; readonly standing: StandingTry; readonly result: PracticeResult }

const VERDICTS: Readonly<Record<PracticeResult['verdict'], string>> = {
  right: 'Right',
  wrong: 'Wrong',
  open: 'Left open',
}

/** What became of a practice tree: the truth, each reading, what a perfect reader had, and what would have settled it. */
export function TryResult({ one, standing, result }: Props) {
  const { sheet, tree } = standing
  const observer = useObserver().callSign
  const navigate = useNavigate()
  const next = useNextTree(observer)
  const set = one.setId && one.surveyId ? `/practice/sets/${one.surveyId}/${one.setId}` : undefined
  // not onto the button: a second press of Enter would pass over what became of it
  const title = useRef<HTMLHeadingElement>(null)
  useEffect(() => title.current?.focus(), [])
  const goOn = set ? () => navigate(set) : next && (() => navigate(next()))
  useKeys({ n: goOn })
  const named = one.called?.outcome === 'taxon' ? nameOf(sheet, one.called.taxonId) : undefined
  const nameIn = (id: string) => sheet.characters.find((character) => character.id === id)?.name ?? id
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto grid w-full max-w-5xl gap-4">
        <header className="flex flex-wrap items-center gap-x-6 gap-y-2 rounded-plain border-2 border-ink bg-card p-4">
          <div className="min-w-60 flex-1">
            <h1 ref={title} tabIndex={-1} className="text-2xl outline-none">
              {VERDICTS[result.verdict]}: it is{' '}
              {result.truth === '' ? 'none of these' : nameOf(sheet, result.truth)}
            </h1>
            <p>
              {result.verdict === 'open'
                ? 'You left it open.'
                : `You called it ${named ?? 'none of these'}, ${percent(one.called?.belief ?? 0)} sure.`}{' '}
              {result.gateBroken !== '' &&
                `It fails the gate: ${sheet.gate.find((item) => item.id === result.gateBroken)?.otherwise}.`}{' '}
              {!result.gateRight && 'The gate was not marked as the tree shows it.'}
            </p>
          </div>
          {goOn && (
            <Button look="main" onClick={goOn}>
              {set ? 'Back to the set' : 'Next tree'} <Key name="n" />
            </Button>
          )}
        </header>
        <dl className="grid gap-x-6 gap-y-2 sm:grid-cols-2 lg:grid-cols-4">
          <Figure words="Belief that your readings give it" value={percent(result.share)} />
          <Figure words="A perfect reader’s, after the same checks" value={percent(result.perfectShare)} />
          <Figure words="Checks chosen, of what the best promised" value={percent(result.choice)} />
          <Figure words="A perfect reader’s, after the best checks" value={percent(result.bestShare)} />
        </dl>
        <section>
          <h2 className="text-lg">What you read</h2>
          {result.readings.length === 0 && <p>Nothing.</p>}
          <ul className="grid gap-2">
            {result.readings.map((reading) => {
              const character = sheet.characters.find((other) => other.id === reading.character)
              return (
                character && (
                  <li key={reading.character} className="rounded-plain border border-line bg-card p-3">
                    <p className="flex flex-wrap gap-x-3">
                      <strong>{character.name}</strong>
                      <span>
                        {reading.mistaken.length === 0
                          ? `✓ read as it is${reading.looks > 1 ? `, ${reading.looks} looks` : ''}`
                          : `✗ ${reading.right} of ${reading.looks} read as they are`}
                      </span>
                    </p>
                    <Mistakes character={character} mistaken={reading.mistaken} />
                  </li>
                )
              )
            })}
          </ul>
        </section>
        {result.best.length > 0 && (
          <section>
            <h2 className="text-lg">What would have told the most in {Math.round(result.minutes)} minutes</h2>
            <p>
              {result.best.map(nameIn).join(', ')}.{' '}
              {result.bestShare > result.perfectShare
                ? `Read as they are: ${percent(result.bestShare)} for what it is.`
                : 'On this tree they would have told no more than yours.'}
            </p>
          </section>
        )}
        {result.astray.length > 0 && (
          <p>
            <strong>Led astray.</strong> By the weights of{' '}
            {result.astray.map((school) => schoolWords(school)).join(' and ')} alone your readings would have
            led to another name.
          </p>
        )}
        <p className="text-quiet">
          A {tree.stage} tree, seed {one.seed}: whoever has the sheet and the seed has the same tree.
        </p>
      </div>
    </div>
  )
}

function nameOf(sheet: Sheet, id: string | null | undefined): string {
  const taxon = sheet.taxa.find((one) => one.id === id)
  return taxon ? `${taxon.commonName} (${taxon.scientificName})` : 'none of these'
}

function Figure({ words, value }: { readonly words: string; readonly value: string }) {
  return (
    <div className="border-t-2 border-ink pt-1">
      <dt className="text-sm leading-tight text-quiet">{words}</dt>
      <dd className="figure text-xl font-bold">{value}</dd>
    </div>
  )
}

type MistakesProps = {
  readonly character: Character
  readonly mistaken: PracticeResult['readings'][number]['mistaken']
}

/** Each mistake once, what was shown beside what it was taken for, at the same size. */
export function Mistakes({ character, mistaken }: MistakesProps) {
  const kinds = new Map<string, { shown: string; read: string; times: number }>()
  for (const { shown, read } of mistaken) {
    const key = `${shown} ${read}`
    const before = kinds.get(key)
    kinds.set(key, { shown, read, times: (before?.times ?? 0) + 1 })
  }
  return (
    <ul className="mt-2 flex flex-wrap gap-4">
      {[...kinds.values()].map(({ shown, read, times }) => (
        <li key={`${shown} ${read}`} className="flex items-start gap-3">
          <Side character={character} id={shown} words="it was" />
          <span aria-hidden className="mt-10 text-2xl">
            →
          </span>
          <Side character={character} id={read} words="you read" />
          {times > 1 && <span className="figure font-bold">×{times}</span>}
        </li>
      ))}
    </ul>
  )
}
