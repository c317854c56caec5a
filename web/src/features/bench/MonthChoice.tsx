import { useQuery } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import { type AsItStands, outlookQuery } from '../../common/bench/asItStands'
import { timesIn } from '../../common/bench/judgementWords'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { monthAndYear } from '../../ui/words'

type Props = {
  readonly tree: AsItStands
  readonly month: number | undefined
  readonly onChoose: (month: number) => void
}

/** The coming twelve months, each with its chance to settle the tree. */
export function MonthChoice({ tree, month, onChoose }: Props) {
  const outlook = useQuery(outlookQuery(tree))
  if (outlook.isError) return <Notice tone="wrong">{wordsOf(outlook.error)}</Notice>
  if (!outlook.data) return <OnItsWay of={outlook}>Playing the coming year through …</OnItsWay>
  const coming = [...outlook.data].sort((a, b) => a.year - b.year || a.month - b.month)
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">In which month would a visit settle it?</legend>
      <div className="grid gap-1 sm:grid-cols-2">
        {coming.map((one) => (
          <label
            key={one.month}
            className={`grid min-h-11 grid-cols-[auto_8.5rem_1fr] items-center gap-2 rounded-plain border px-2 ${one.month === month ? 'border-ink bg-card font-bold' : 'border-line'}`}
          >
            <input
              type="radio"
              name="month"
              className="size-5 accent-thistle"
              checked={one.month === month}
              onChange={() => onChoose(one.month)}
            />
            {one.month === tree.bench.thisMonth ? 'later this month' : monthAndYear(one.month, one.year)}
            <span className="relative block border border-edge bg-card text-sm">
              <span
                aria-hidden
                className="absolute inset-y-0 left-0 bg-gold-wash"
                style={{ width: `${one.chanceToSettle * 100}%` }}
              />
              <span className="relative px-1">{timesIn(one.chanceToSettle)}</span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  )
}
