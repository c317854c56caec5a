import { type UseQueryResult, useQuery } from '@tanstack/react-query'
import { Link, useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import type { MyPractice, PracticePair } from '../../api/types'
import { takeUp, useTries } from '../../common/practice/practiceStore'
import { practiceQuery } from '../../common/practice/queries'
import { useWaitingPractice } from '../../common/practice/useSending'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { counted } from '../../ui/words'
import { FieldCases } from './FieldCases'
import { PracticeBar } from './PracticeBar'
import { ReliabilityCurve } from './ReliabilityCurve'
import { Sets } from './Sets'
import { Side } from './shown'
import { useNextTree } from './useNextTree'

const WHY = {
  due: 'it has slipped',
  overruled: 'a call of yours between the two was overruled',
  fresh: 'not practised for the longest',
} as const

/** My practice: the next tree, what sits and what slips. */
export function PracticePage() {
  const observer = useObserver().callSign
  const practice = useQuery(practiceQuery)
  const { surveys, survey, choose } = useSurvey()
  const { open, refused } = useWaitingPractice(observer)
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageTitle>Practice</PageTitle>
      <PracticeBar />
      <div className="relative min-h-0 flex-1 overflow-y-auto p-4">
        <div className="mx-auto grid w-full max-w-6xl gap-6">
          <div>
            <h1 className="text-2xl">My practice</h1>
            <p className="max-w-prose">
              Trees drawn from the sheets’ own profiles, read on a Bench as real ones are. Only you see this
              page.
            </p>
          </div>
          {refused && <Notice tone="wrong">{refused}</Notice>}
          {open.length > 0 && (
            <Notice tone="waiting">
              Called on this device and not on the server yet: {counted(open.length, 'tree')}.
            </Notice>
          )}
          <Next asked={practice} />
          {practice.isError && !practice.data && <Notice tone="wrong">{wordsOf(practice.error)}</Notice>}
          {practice.data && <Rest practice={practice.data} />}
          {survey && <Sets surveys={surveys} survey={survey} choose={choose} />}
          <FieldCases />
        </div>
      </div>
    </main>
  )
}

function Next({ asked }: { readonly asked: UseQueryResult<MyPractice> }) {
  const observer = useObserver().callSign
  const navigate = useNavigate()
  const next = useNextTree(observer)
  const begun = useTries(observer).find((one) => !one.called)
  const practice = asked.data
  const first = practice?.next[0]
  return (
    <section
      aria-label="Next"
      className="flex flex-wrap items-center gap-x-5 gap-y-2 rounded-plain border-2 border-slate bg-card p-4"
    >
      <div className="min-w-60 flex-1">
        {practice && practice.minutesToday >= practice.minutesADay && (
          <p>
            <strong>The day’s {practice.minutesADay} minutes are spent.</strong> What comes after a night
            stays better.
          </p>
        )}
        {first && (
          <>
            <h2 className="text-lg">{first.groupTitle}</h2>
            <p>Comes next, since {WHY[first.why]}.</p>
          </>
        )}
        {practice && !first && <p>No pair of the sheets here can be practised.</p>}
        {asked.isPending && <OnItsWay of={asked}>Looking what comes next …</OnItsWay>}
      </div>
      {begun && (
        <Link
          to={`/practice/trees/${begun.id}`}
          className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
        >
          Go on with the tree in hand
        </Link>
      )}
      {next && (
        <Button look="main" onClick={() => navigate(next())}>
          Practise a tree
        </Button>
      )}
    </section>
  )
}

function Rest({ practice }: { readonly practice: MyPractice }) {
  return (
    <>
      <SignedOffList practice={practice} />
      <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <section>
          <h2 className="text-lg">What sits, what slips</h2>
          {practice.pairs.length === 0 && <p>Nothing practised yet.</p>}
          <ul className="grid gap-3">
            {practice.pairs.map((pair) => (
              <PairField key={`${pair.groupId} ${pair.one} ${pair.other}`} pair={pair} />
            ))}
          </ul>
        </section>
        <div className="grid gap-6">
          <ReliabilityCurve own={practice.own} sheets={practice.sheets} />
          {practice.overruled.length > 0 && (
            <section>
              <h2 className="text-lg">Overruled at review</h2>
              <ul>
                {practice.overruled.map((one) => (
                  <li key={one.caseId} className="border-b border-line">
                    <Link
                      to={`/surveys/${one.surveyId}/review/${one.caseId}`}
                      className="inline-flex min-h-11 items-center underline"
                    >
                      {one.plotCode}, tree {one.tag}
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
      {practice.mistaken.length > 0 && (
        <section>
          <h2 className="text-lg">Most often mistaken</h2>
          <ul className="flex flex-wrap gap-4">
            {practice.mistaken.map((one) => (
              <Mistaken key={`${one.groupId} ${one.character} ${one.shown} ${one.read}`} one={one} />
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

function SignedOffList({ practice }: { readonly practice: MyPractice }) {
  if (practice.signedOff.length === 0) return null
  return (
    <section>
      <h2 className="text-lg">What your surveys ask for</h2>
      <ul>
        {practice.signedOff.map((one) => (
          <li key={`${one.surveyId} ${one.groupId}`} className="border-b border-line py-1">
            <strong>{one.groupTitle}</strong>, {one.surveyName}:{' '}
            {one.passed
              ? '✓ practised as asked.'
              : `${one.right} right of ${one.of} in a row; ${one.needed} are asked for. Until then each name you sign is read a second time.`}
          </li>
        ))}
      </ul>
    </section>
  )
}

/** A pair with its characters: as long a bar as it will last, hatched where it has slipped. */
function PairField({ pair }: { readonly pair: PracticePair }) {
  const observer = useObserver().callSign
  const navigate = useNavigate()
  const sheet = useQuery(sheetQuery(pair.versionId))
  const name = (id: string) => sheet.data?.taxa.find((one) => one.id === id)?.commonName ?? id
  return (
    <li className="rounded-plain border border-line bg-card p-3">
      <p className="flex flex-wrap items-center gap-x-3">
        <strong className="min-w-0 flex-1 max-sm:basis-full">
          {name(pair.one)} or {name(pair.other)}
        </strong>
        <span className="text-quiet">{pair.groupTitle}</span>
        <Button
          look="quiet"
          className="px-1!"
          onClick={() => navigate(`/practice/trees/${takeUp(observer, pair)}`)}
        >
          Practise it
        </Button>
      </p>
      <ul className="grid gap-x-4 sm:grid-cols-2">
        {pair.items.map((item) => (
          <li key={item.character} className="grid grid-cols-[minmax(0,1fr)_7rem] items-center gap-2 text-sm">
            <span className="truncate">
              {sheet.data?.characters.find((one) => one.id === item.character)?.name ?? item.character}
            </span>
            <span className="flex items-center gap-1">
              <span aria-hidden className="h-3 w-16 border border-ink">
                <span
                  className={`block h-full ${item.due ? 'slipping' : 'bg-moss'}`}
                  style={{ width: `${Math.round(item.known * 100)}%` }}
                />
              </span>
              <span className="figure">{Math.round(item.known * 100)} %</span>
              {item.due && <span className="sr-only">, due</span>}
            </span>
          </li>
        ))}
      </ul>
    </li>
  )
}

function Mistaken({ one }: { readonly one: MyPractice['mistaken'][number] }) {
  const sheet = useQuery(sheetQuery(one.versionId))
  const character = sheet.data?.characters.find((other) => other.id === one.character)
  if (!character) return null
  return (
    <li className="rounded-plain border border-line bg-card p-3">
      <p className="mb-1 font-semibold">
        {character.name} <span className="figure">×{one.times}</span>
      </p>
      <div className="flex items-center gap-3">
        <Side character={character} id={one.shown} words="it was" />
        <span aria-hidden className="text-2xl">
          →
        </span>
        <Side character={character} id={one.read} words="you read" />
      </div>
    </li>
  )
}
