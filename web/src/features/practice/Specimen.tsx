import type { Character } from '../../api/types'
import type { Shown } from '../../reckoner/questions'
import { Drawing } from '../../ui/Drawing'
import { MeasuredSpecimen } from './MeasuredSpecimen'

type Props = {
  readonly character: Character
  readonly shown: Shown
  /** how many looks were read already */
  readonly looked: number
}

/** What a practice tree shows of a check: one leaf, cone … after the other, as drawings and never as words. */
export function Specimen({ character, shown, looked }: Props) {
  const all = shown.states.length + shown.values.length
  if (all === 0) {
    return (
      <Shell title="What you find">
        <p className="grid h-48 place-items-center text-center text-lg">
          You look all over the tree and find nothing to read this from.
        </p>
      </Shell>
    )
  }
  const at = Math.min(looked, all - 1)
  const title = all === 1 ? 'What you see' : `What you see: ${at + 1} of ${all}`
  if (shown.values.length > 0) {
    return (
      <Shell title={title}>
        <MeasuredSpecimen key={at} character={character} value={shown.values[at] ?? 0} />
      </Shell>
    )
  }
  if (shown.drawings.length === 0) {
    const state = character.states.find((one) => one.id === shown.states[at])
    return (
      <Shell title={title}>
        <p className="grid h-48 content-center text-center">
          <span className="text-quiet">The sheet has no drawing for it, so it is told in its words:</span>
          <strong className="text-lg">{state?.name}</strong>
        </p>
      </Shell>
    )
  }
  return (
    <Shell title={title}>
      <div className="flex flex-wrap items-end gap-3">
        <One drawn={shown.drawings[at]} className="size-56 max-sm:size-44" />
        <ul aria-label="Seen so far and still to come" className="flex min-w-0 flex-1 flex-wrap gap-1.5">
          {shown.drawings.map((drawn, i) => (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: leaves of one tree have no name but their place
              key={i}
              className={`rounded-plain border ${i === at ? 'border-2 border-ink' : i < at ? 'border-line' : 'border-dashed border-edge'} bg-card`}
            >
              {i <= at ? (
                <One drawn={drawn} className="size-14" />
              ) : (
                <span className="figure grid size-14 place-items-center text-quiet">{i + 1}</span>
              )}
            </li>
          ))}
        </ul>
      </div>
    </Shell>
  )
}

function Shell({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <section aria-label="The specimen" className="rounded-plain border-2 border-slate bg-card p-3">
      <h3 className="text-base text-slate-ink">{title}</h3>
      {children}
    </section>
  )
}

type OneProps = { readonly drawn: Shown['drawings'][number] | undefined; readonly className: string }

function One({ drawn, className }: OneProps) {
  if (!drawn) return null
  const { part, parameters, turned } = drawn
  return <Drawing hint={{ part, parameters }} className={`${className} ${turned ? '-scale-x-100' : ''}`} />
}
