import { useQuery } from '@tanstack/react-query'
import { Download, Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { Parcel, Sample, Samples } from '../../api/types'
import { samplesQuery } from '../../common/sample/queries'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { counted, dayAndTime } from '../../ui/words'
import { AtHand } from './AtHand'
import { SampleRow } from './SampleRow'
import { SayingSheet } from './SayingSheet'
import { type Saying, useSaying } from './useSaying'

const LINK =
  'inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold hover:bg-thistle-wash'

/** The samples of a survey, from the tree to the laboratory and back. */
export function SamplesPage() {
  const chosen = useSurvey()
  const { survey } = chosen
  const all = useQuery({ ...samplesQuery(survey?.id ?? ''), enabled: survey !== undefined })
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <SurveyHead
        chosen={chosen}
        title="Samples"
        words="What is to be cut for the laboratory, and what came back."
      />
      {all.isError && !all.data && <Notice tone="wrong">{wordsOf(all.error)}</Notice>}
      {survey && all.isPending && <OnItsWay of={all}>Fetching the samples …</OnItsWay>}
      {survey && all.data && <Listed surveyId={survey.id} all={all.data} />}
    </main>
  )
}

function Listed({ surveyId, all }: { readonly surveyId: string; readonly all: Samples }) {
  const at = (...steps: Sample['step'][]) => all.samples.filter(({ step }) => steps.includes(step))
  const toTake = at('asked')
  const atHand = at('taken')
  const back = at('answered')
  const sent = at('packed', 'received')
  const ended = all.samples.filter((sample) => sample.ended)
  const saying = useSaying(surveyId)
  return (
    <>
      <SayingSheet saying={saying} />
      {saying.error && !saying.asked && <Notice tone="wrong">{wordsOf(saying.error)}</Notice>}
      {!all.used && (
        <Notice tone="plain">This survey sends no samples. A lead allows it in the survey’s settings.</Notice>
      )}
      {all.trouble && (
        <Notice tone="waiting">
          The laboratory does not answer: {all.trouble}. Nothing is lost; it is asked again and again.
        </Notice>
      )}
      <p className="my-2">
        {all.laboratory
          ? `${all.laboratory} is told of each parcel, and what it finds comes here by itself.`
          : 'No laboratory is connected: the list goes with the parcel, and a reviewer enters the report at the review.'}
      </p>
      {all.samples.length === 0 && (
        <p className="rounded-plain border border-line bg-card px-3 py-4">
          No sample yet. Ask for one at a review, or at a tree of a plot.
        </p>
      )}
      <div className="grid grid-cols-1 items-start gap-6 xl:grid-cols-2">
        {back.length > 0 && (
          <Part title="Came back" words="to be weighed at the review">
            <Rows surveyId={surveyId} saying={saying} samples={back} />
          </Part>
        )}
        {toTake.length > 0 && (
          <Part title="To be taken" words="with clean tools, a small piece, its label on the bag at once">
            <Rows surveyId={surveyId} saying={saying} samples={toTake} />
            {atHand.length === 0 && <Labels surveyId={surveyId} />}
          </Part>
        )}
        {atHand.length > 0 && (
          <Part title="At hand" words="choose what goes into a parcel">
            <AtHand surveyId={surveyId} saying={saying} samples={atHand} />
            <Labels surveyId={surveyId} />
          </Part>
        )}
        {(sent.length > 0 || all.parcels.length > 0) && (
          <Part title="On their way" words="in parcels, the newest first">
            {all.parcels.map((parcel) => (
              <ParcelOf
                key={parcel.id}
                surveyId={surveyId}
                parcel={parcel}
                saying={saying}
                samples={sent.filter((sample) => sample.parcel === parcel.code)}
              />
            ))}
          </Part>
        )}
        {ended.length > 0 && (
          <Part title="Ended" words="weighed, lost, spoilt or withdrawn">
            <Rows surveyId={surveyId} saying={saying} samples={ended} />
          </Part>
        )}
        {all.troubles.length > 0 && (
          <Part title="Said, and counted for nothing" words="kept as it came">
            <ul className="divide-y divide-line border-y border-line bg-card">
              {all.troubles.map((one) => (
                <li key={one.number} className="px-3 py-2">
                  <p>{one.why}</p>
                  <details>
                    <summary className="min-h-6 cursor-pointer text-sm text-thistle">
                      message {one.number}, {dayAndTime(one.cameAt)}
                    </summary>
                    <code className="block text-sm break-all">{one.body}</code>
                  </details>
                </li>
              ))}
            </ul>
          </Part>
        )}
      </div>
    </>
  )
}

type PartProps = { readonly title: string; readonly words: string; readonly children: ReactNode }

function Part({ title, words, children }: PartProps) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="border-b-2 border-ink pb-1 text-xl">{title}</h2>
      <p className="py-1 text-quiet">{words}</p>
      {children}
    </section>
  )
}

type RowsProps = {
  readonly surveyId: string
  readonly samples: readonly Sample[]
  readonly saying: Saying
}

function Rows({ surveyId, samples, saying }: RowsProps) {
  return (
    <ul className="divide-y divide-line border-y border-line bg-card">
      {samples.map((sample) => (
        <SampleRow key={sample.id} surveyId={surveyId} sample={sample} saying={saying} />
      ))}
    </ul>
  )
}

function Labels({ surveyId }: { readonly surveyId: string }) {
  return (
    <a href={`/api/surveys/${surveyId}/samples/labels.pdf`} download className={`mt-2 ${LINK}`}>
      <Printer aria-hidden className="mr-2 size-4" />
      Labels to print (PDF)
    </a>
  )
}

type ParcelProps = RowsProps & { readonly parcel: Parcel }

function ParcelOf({ surveyId, parcel, samples, saying }: ParcelProps) {
  const files = `/api/surveys/${surveyId}/parcels/${parcel.id}/list`
  return (
    <section aria-label={`Parcel ${parcel.code}`} className="mb-3">
      <h3 className="mt-2 text-lg">
        <span className="figure">{parcel.code}</span>{' '}
        <span className="text-base font-normal text-quiet">
          {counted(parcel.samples.length, 'sample')}
          {parcel.receipt
            ? `, receipt ${parcel.receipt}`
            : parcel.byHand
              ? ', goes by hand'
              : ', the laboratory is being told'}
        </span>
      </h3>
      {parcel.trouble && (
        <p className="text-rust-ink">
          {parcel.trouble} (tried {counted(parcel.tries, 'time')}; it is tried again)
        </p>
      )}
      <div className="my-1 flex flex-wrap gap-2">
        <a href={`${files}.pdf`} download className={LINK}>
          <Printer aria-hidden className="mr-2 size-4" />
          List (PDF)
        </a>
        <a href={`${files}.csv`} download className={LINK}>
          <Download aria-hidden className="mr-2 size-4" />
          Table (CSV)
        </a>
      </div>
      {samples.length > 0 && <Rows surveyId={surveyId} saying={saying} samples={samples} />}
    </section>
  )
}
