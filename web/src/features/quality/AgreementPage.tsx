import { queryOptions, useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { api, dataOf } from '../../api/client'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { Agreement, GroupAgreement } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { counted } from '../../ui/words'
import { QualityTabs } from './QualityTabs'

const agreementQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'agreement'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/agreement', { params: { path: { surveyId } }, signal })),
  })

type Kappa = GroupAgreement['kappa']

/** How far observers agree on the trees that two or more of them signed, a small picture for each group. */
export function AgreementPage() {
  const chosen = useSurvey()
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-6xl">
        <QualityTabs />
        <SurveyHead chosen={chosen} title="Agreement" />
        {chosen.survey && <Groups key={chosen.survey.id} surveyId={chosen.survey.id} />}
      </div>
    </main>
  )
}

function Groups({ surveyId }: { readonly surveyId: string }) {
  const agreement = useQuery(agreementQuery(surveyId))
  if (agreement.isError) return <Notice tone="wrong">{wordsOf(agreement.error)}</Notice>
  if (!agreement.data) return <OnItsWay of={agreement}>Comparing the readings …</OnItsWay>
  const { trees, groups, control } = agreement.data
  if (trees === 0) {
    return (
      <>
        {control && <BeforeTheSaw surveyId={surveyId} control={control} />}
        <Notice tone="plain">
          No tree of this survey has been signed by two observers who did not know of each other’s call yet.
        </Notice>
      </>
    )
  }
  return (
    <>
      {control && <BeforeTheSaw surveyId={surveyId} control={control} />}
      <p className="max-w-prose">
        {counted(trees, 'tree')} signed by two or more who had not seen what the other made of it.{' '}
        <strong>Kappa</strong> is agreement beyond chance: 1 is perfect, 0 what guessing gives; the line is
        where it lies 95 times in 100. <strong>Alpha</strong> says the same of all readers at once. A dash, or
        no line: everybody always gave one answer, or the trees are too few to tell.
      </p>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
        {groups.map((group) => (
          <GroupCard key={group.groupId} group={group} />
        ))}
      </div>
    </>
  )
}

type ControlProps = {
  readonly surveyId: string
  readonly control: NonNullable<Agreement['control']>
}

/** How trees fared that were approved for control. */
function BeforeTheSaw({ surveyId, control }: ControlProps) {
  const { looks, heldBack, done, wrong } = control
  return (
    <section
      aria-label="Before the saw"
      className={`mb-4 rounded-plain bg-card p-3 ${wrong.length > 0 ? 'border-2 border-rust' : 'border border-line'}`}
    >
      <h2 className="text-lg">Before the saw</h2>
      <p>
        {counted(looks, 'tree')} looked at once more, {heldBack} of them held back; something was done to{' '}
        {counted(done, 'tree')}.{' '}
        {wrong.length === 0 ? (
          'None was the wrong one.'
        ) : (
          <strong>The wrong tree, {wrong.length} times:</strong>
        )}
      </p>
      {wrong.length > 0 && (
        <ul className="ml-5 list-disc">
          {wrong.map((tree) => (
            <li key={tree.treeId}>
              <Link
                to={`/surveys/${surveyId}/plots/${tree.plotId}?tree=${tree.treeId}`}
                className="font-semibold text-thistle underline"
              >
                {tree.plotCode}, tree {tree.tag}
              </Link>
              , {tree.doneOn}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** A figure between -1 and 1. */
const signed = (value: number) => value.toFixed(2).replace('-', '−')

function GroupCard({ group }: { readonly group: GroupAgreement }) {
  return (
    <section aria-label={group.title} className="rounded-plain border border-line bg-card p-4">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg">{group.title}</h2>
        <span className="shrink-0">{counted(group.trees, 'tree')}</span>
      </div>
      {group.tooFew && <p className="text-sm text-quiet">Too few trees for these figures to tell much.</p>}
      <dl className="my-2 grid grid-cols-3 gap-3">
        <Figure name="agree" text={group.percent == null ? '–' : `${group.percent.toFixed(0)} %`} />
        <Figure name="kappa" text={group.kappa ? signed(group.kappa.value) : '–'}>
          {group.kappa?.low != null && group.kappa.high != null && (
            <KappaLine value={group.kappa.value} low={group.kappa.low} high={group.kappa.high} />
          )}
        </Figure>
        <Figure name="alpha" text={group.alpha == null ? '–' : signed(group.alpha)} />
      </dl>
      <Matrix group={group} />
      {group.confused.length > 0 && (
        <p className="mt-2">
          Taken for each other:{' '}
          {group.confused.map((pair) => `${pair.first} and ${pair.second} (${pair.trees})`).join('; ')}.
        </p>
      )}
      <details className="mt-2">
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
          By observers and characters
        </summary>
        <Details group={group} />
      </details>
    </section>
  )
}

type FigureProps = { readonly name: string; readonly text: string; readonly children?: ReactNode }

function Figure({ name, text, children }: FigureProps) {
  return (
    <div>
      <dt className="text-sm text-quiet">{name}</dt>
      <dd>
        <span className="figure text-xl font-bold">{text}</span>
        {children}
      </dd>
    </div>
  )
}

const at = (value: number) => 4 + 92 * ((value + 1) / 2)

/** A value with its interval on a line from -1 to 1; 0 has a tick. */
/** Kappa with its interval, which is a dash where so few trees tell nothing of it. */
function kappaWords(kappa: Kappa): string {
  if (!kappa) return '–'
  const interval =
    kappa.low == null || kappa.high == null ? '–' : `${signed(kappa.low)} to ${signed(kappa.high)}`
  return `${signed(kappa.value)} (${interval})`
}

type Interval = { readonly value: number; readonly low: number; readonly high: number }

function KappaLine({ value, low, high }: Interval) {
  return (
    <svg
      viewBox="0 0 100 14"
      className="w-full"
      role="img"
      aria-label={`from ${low.toFixed(2)} to ${high.toFixed(2)}`}
    >
      <path d={`M4,7H96M${at(0)},3V11`} className="fill-none stroke-edge" strokeWidth="1" />
      <path d={`M${at(low)},7H${at(high)}`} className="fill-none stroke-ink" strokeWidth="2.5" />
      <circle cx={at(value)} cy="7" r="4" className="fill-gold stroke-ink" strokeWidth="1" />
    </svg>
  )
}

/** Answers of who signed first by row, of who signed second by column; where they agree lies on the diagonal. */
function Matrix({ group }: { readonly group: GroupAgreement }) {
  const most = Math.max(1, ...group.confusion.flat())
  return (
    <div className="overflow-x-auto">
      <table className="border-separate border-spacing-0.5 text-left">
        <caption className="text-left text-sm text-quiet">
          rows: who signed first; columns: who signed second
        </caption>
        <thead>
          <tr>
            <td />
            {group.answers.map((answer, i) => (
              <th key={answer} scope="col" className="figure w-11 text-center" title={answer}>
                {i + 1}
                <span className="sr-only"> {answer}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {group.answers.map((answer, i) => (
            <tr key={answer}>
              <th scope="row" className="max-w-60 pr-2 leading-tight font-normal">
                <span className="figure font-bold">{i + 1}</span> {answer}
              </th>
              {group.confusion[i]?.map((count, j) => (
                <td
                  key={group.answers[j]}
                  className={`figure size-11 text-center ${i === j ? 'border-2 border-moss' : 'border border-line'} ${count > 0 ? 'font-bold' : 'text-quiet'}`}
                  style={{
                    backgroundColor: `color-mix(in srgb, var(--color-${i === j ? 'gold' : 'rust'}) ${Math.round((45 * count) / most)}%, transparent)`,
                  }}
                >
                  {count}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Details({ group }: { readonly group: GroupAgreement }) {
  return (
    <div className="grid gap-3">
      <table className="w-full text-left">
        <caption className="text-left font-semibold">Pairs of observers</caption>
        <tbody>
          {group.observers.map((pair) => (
            <tr key={`${pair.first} ${pair.second}`} className="border-t border-line">
              <th scope="row" className="py-1 font-normal">
                {pair.first} and {pair.second}
              </th>
              <td className="figure text-right">{counted(pair.trees, 'tree')}</td>
              <td className="figure w-20 text-right">
                {pair.percent == null ? '–' : `${pair.percent.toFixed(0)} %`}
              </td>
              <td className="figure w-40 text-right">{kappaWords(pair.kappa)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <table className="w-full text-left">
        <caption className="text-left font-semibold">Characters, the least agreed on first</caption>
        <tbody>
          {group.characters.map((one) => (
            <tr key={one.name} className="border-t border-line">
              <th scope="row" className="py-1 pr-2 leading-tight font-normal">
                {one.name}
              </th>
              <td className="w-32">
                <span className="block h-3 bg-line">
                  <span className="block h-3 bg-moss" style={{ width: `${one.percent ?? 0}%` }} />
                </span>
              </td>
              <td className="figure w-16 text-right">
                {one.percent == null ? '–' : `${one.percent.toFixed(0)} %`}
              </td>
              <td className="figure w-20 text-right text-sm text-quiet">of {one.pairs}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {group.errors.length > 0 && (
        <table className="w-full text-left">
          <caption className="text-left font-semibold">
            How often each is most likely right, as far as the others can tell
          </caption>
          <tbody>
            {group.errors.map((one) => (
              <tr key={one.observer} className="border-t border-line">
                <th scope="row" className="py-1 font-normal">
                  {one.observer}
                </th>
                <td className="figure text-right">{(100 * one.right).toFixed(0)} %</td>
                <td className="figure w-24 text-right text-sm text-quiet">of {counted(one.trees, 'tree')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  )
}
