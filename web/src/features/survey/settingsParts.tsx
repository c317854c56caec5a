import { useQuery } from '@tanstack/react-query'
import { choiceOf, SCHOOLS, TIERS } from '../../api/codes'
import { peopleQuery } from '../../api/people'
import { wordsOf } from '../../api/problem'
import type { Group, SurveySettings } from '../../api/types'
import { Field } from '../../ui/Field'
import { OneOf } from '../../ui/OneOf'
import { Tick } from '../../ui/Tick'
import { thresholdQuery } from './queries'

const TIER_CHOICES = TIERS.map(choiceOf)
const WEIGHTS = [{ value: 'own', text: 'each sheet’s own weights' } as const, ...SCHOOLS.map(choiceOf)]

type PartProps = {
  readonly set: SurveySettings
  readonly put: (part: Partial<SurveySettings>) => void
  /** What is wrong with a field, as the server said; undefined: nothing. */
  readonly wrong: (key: string) => string | undefined
}

/** What calls are for, whose weights count, and what mistakes cost. */
export function CallsPart({ set, put, wrong }: PartProps) {
  const thresholdWords = useThresholdWords(set)
  const costed = set.wrongYes != null || set.wrongNo != null
  return (
    <Part
      title="Calls"
      words="What a call is for until its observer says otherwise, and whose weights count."
    >
      <OneOf
        label="Default tier"
        options={TIER_CHOICES}
        value={set.defaultTier}
        onChange={(defaultTier) => put({ defaultTier })}
      />
      {wrong('defaultTier') && <p className="text-rust-ink">{wrong('defaultTier')}</p>}
      <OneOf
        label="Weights"
        options={WEIGHTS}
        value={set.school ?? 'own'}
        onChange={(school) => put({ school: school === 'own' ? null : school })}
      />
      <Tick
        on={costed}
        words="Set the threshold by costs"
        onChange={(on) => put(on ? { wrongYes: 9, wrongNo: 1 } : { wrongYes: null, wrongNo: null })}
      />
      {costed && (
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="A wrong yes costs"
            type="number"
            step="any"
            value={set.wrongYes ?? ''}
            onChange={(event) => put({ wrongYes: Number(event.target.value) })}
            hint={thresholdWords}
            wrong={wrong('wrongYes')}
          />
          <Field
            label="A wrong no costs"
            type="number"
            step="any"
            value={set.wrongNo ?? ''}
            onChange={(event) => put({ wrongNo: Number(event.target.value) })}
            hint="in the same unit, whichever it is"
          />
        </div>
      )}
    </Part>
  )
}

/** What may be done to trees, and what happens with calls. */
export function AllowedPart({ set, put, wrong }: PartProps) {
  return (
    <Part title="Allowed" words="Wounding spreads disease and stays visible; follow your district’s rules.">
      <Tick
        on={set.woundingAllowed}
        words="Trees may be wounded for a check"
        onChange={(woundingAllowed) => put({ woundingAllowed })}
      />
      <Tick
        on={set.photoPositionKept}
        words="Photos keep where they were taken"
        onChange={(photoPositionKept) => put({ photoPositionKept })}
      />
      <Tick
        on={set.controlUsed}
        words="Calls may be for control"
        onChange={(controlUsed) => put({ controlUsed })}
      />
      <Tick
        on={set.laboratoryUsed}
        words="Samples may go to a laboratory"
        onChange={(laboratoryUsed) => put({ laboratoryUsed })}
      />
      <Field
        label="Plain calls that are reviewed all the same, %"
        type="number"
        min={0}
        max={100}
        step={1}
        className="max-w-80"
        value={Math.round(set.plainShare * 1000) / 10}
        onChange={(event) => put({ plainShare: Number(event.target.value) / 100 })}
        wrong={wrong('plainShare')}
        hint="Drawn by lot, so that nobody can choose which."
      />
    </Part>
  )
}

/** Which groups are called. */
export function GroupsPart({
  set,
  put,
  groups,
}: Omit<PartProps, 'wrong'> & { readonly groups: readonly Group[] }) {
  return (
    <Part
      title="Groups"
      words="Trees of other groups are recorded plainly. None ticked: every group of the library."
    >
      <div className="grid gap-x-4 sm:grid-cols-2">
        {groups.map((group) => (
          <Tick
            key={group.groupId}
            on={set.groups.includes(group.groupId)}
            words={group.title}
            onChange={(on) =>
              put({
                groups: on
                  ? [...set.groups, group.groupId]
                  : set.groups.filter((one) => one !== group.groupId),
              })
            }
          />
        ))}
      </div>
    </Part>
  )
}

/** Who belongs to the survey. */
export function CrewPart({ set, put }: Omit<PartProps, 'wrong'>) {
  const people = useQuery(peopleQuery)
  return (
    <Part title="Crew" words="Who sees this survey and works on it.">
      <div className="grid gap-x-4 sm:grid-cols-3">
        {people.data?.people
          .filter((one) => !one.disabledAt || set.members.includes(one.id))
          .map((one) => (
            <Tick
              key={one.id}
              on={set.members.includes(one.id)}
              words={`${one.callSign}, ${one.role}`}
              onChange={(on) =>
                put({
                  members: on ? [...set.members, one.id] : set.members.filter((id) => id !== one.id),
                })
              }
            />
          ))}
      </div>
    </Part>
  )
}

/** What the costs come to, in words. */
function useThresholdWords({ wrongYes, wrongNo }: SurveySettings): string {
  const costs = wrongYes != null && wrongNo != null && wrongYes > 0 && wrongNo > 0 && { wrongYes, wrongNo }
  const threshold = useQuery({
    ...thresholdQuery(costs || { wrongYes: 1, wrongNo: 1 }),
    enabled: costs !== false,
  })
  if (!costs) return 'more than nothing'
  if (threshold.isError) return wordsOf(threshold.error)
  if (!threshold.data) return '…'
  return `sign at ${(100 * threshold.data.share).toFixed(1)} %, never below what a record or control asks`
}

function Part({
  title,
  words,
  children,
}: {
  readonly title: string
  readonly words: string
  readonly children: React.ReactNode
}) {
  return (
    <section className="grid gap-3 border-t border-line pt-3">
      <div>
        <h2 className="text-lg">{title}</h2>
        <p className="text-quiet">{words}</p>
      </div>
      {children}
    </section>
  )
}
