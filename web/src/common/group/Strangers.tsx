import type { SeasonChart } from '../../api/types'

type Props = {
  readonly taxa: readonly { readonly id: string; readonly commonName: string }[]
  readonly season: SeasonChart
  /** The same before a change. */
  readonly before?: SeasonChart | null | undefined
}

type Misnamed = SeasonChart['strangers'][number]['tally']

/** What becomes of trees that a sheet does not know: its own risk, measured on each of its taxa. */
export function Strangers({ taxa, season, before }: Props) {
  return (
    <section aria-label="If it were something else" className="mt-4 overflow-x-auto">
      <h2 className="text-lg">If it were something else</h2>
      <p className="max-w-prose text-quiet">
        A sheet cannot know every tree. Here {season.trees} trees of each taxon are read on the sheet without
        it: of a hundred, so many could be signed under a wrong name, and in brackets those of them that
        nothing would flag. They are read in full, each character in its months.
        {before && ' Before this draft: after the stroke.'}
      </p>
      <table className="mt-1 text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {['unknown tree', 'on a tally', 'on record', 'mostly taken for'].map((head, i) => (
              <th key={head} scope="col" className={`py-1 pr-5 ${i === 1 || i === 2 ? 'text-right' : ''}`}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {season.strangers.map((stranger) => {
            const was = before?.strangers.find((one) => one.taxon === stranger.taxon)
            return (
              <tr key={stranger.taxon} className="border-b border-line">
                <th scope="row" className="py-1 pr-5 font-normal">
                  {taxa.find((one) => one.id === stranger.taxon)?.commonName ?? stranger.taxon}
                </th>
                {stranger.record ? (
                  <>
                    <Share of={stranger.tally} was={was?.tally} />
                    <Share of={stranger.record} was={was?.record} />
                    <td className="py-1">{stranger.record.mostly ?? stranger.tally?.mostly ?? '–'}</td>
                  </>
                ) : (
                  <td colSpan={3} className="py-1 text-quiet">
                    without it too few taxa are left to compare
                  </td>
                )}
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}

const hundred = (share: number) => Math.round(100 * share)

function Share({ of, was }: { readonly of: Misnamed; readonly was: Misnamed | undefined }) {
  if (!of) return <td className="py-1 pr-5 text-right">–</td>
  const unnoticed = hundred(of.signable - of.flagged)
  return (
    <td className="figure py-1 pr-5 text-right">
      <b>{hundred(of.signable)}</b>{' '}
      <span className={unnoticed > 0 ? 'font-bold text-rust-ink' : 'text-quiet'}>({unnoticed})</span>
      {was && (
        <span className="text-quiet">
          {' '}
          / {hundred(was.signable)} ({hundred(was.signable - was.flagged)})
        </span>
      )}
    </td>
  )
}
