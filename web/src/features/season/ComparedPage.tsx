import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { SeasonsCompared } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { usePaper } from '../../ui/usePaper'
import { NextSeasonForm } from './NextSeasonForm'
import { Figure, Part } from './parts'
import { comparedQuery } from './queries'

/** The seasons of a district side by side, and the next one begun. */
export function ComparedPage() {
  const observer = useObserver()
  const chosen = useSurvey()
  const { survey } = chosen
  usePaper(`Seasons of ${survey?.district ?? ''}`)
  const compared = useQuery({ ...comparedQuery(survey?.id ?? ''), enabled: survey !== undefined })
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto grid w-full max-w-6xl grid-cols-1 gap-3">
        <div>
          <SurveyHead
            chosen={chosen}
            title="Seasons"
            words={`All seasons of ${survey?.district ?? 'its district'}.`}
          />
          <Link
            to="/season"
            className="inline-flex min-h-11 items-center font-semibold text-thistle underline print:hidden"
          >
            Back to the season
          </Link>
        </div>
        {survey && observer.role === 'lead' && (
          <NextSeasonForm key={survey.id} survey={survey} onBegun={() => chosen.choose(survey.id)} />
        )}
        {compared.isError && <Notice tone="wrong">{wordsOf(compared.error)}</Notice>}
        {survey && compared.isPending && <OnItsWay of={compared}>Counting the seasons …</OnItsWay>}
        {compared.data && <Compared compared={compared.data} />}
      </div>
    </main>
  )
}

function Compared({ compared: { seasons, pairs, plots } }: { readonly compared: SeasonsCompared }) {
  return (
    <>
      <Part title="Season by season">
        <Scrolled of="each season">
          <thead>
            <tr className="border-b-2 border-ink">
              {['season', 'trees', 'contested', 'overruled', 'read twice', 'agreed', 'minutes a tree'].map(
                (head, i) => (
                  <th key={head} scope="col" className={i > 0 ? 'pl-3 text-right' : ''}>
                    {head}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {seasons.map((one) => (
              <tr key={one.surveyId} className="border-b border-line">
                <th scope="row" className="py-1 font-normal">
                  <span className="figure font-semibold">{one.season}</span> {one.name}
                </th>
                <Figure>{one.trees}</Figure>
                <Figure>
                  <Share part={one.contested} of={one.trees} />
                </Figure>
                <Figure>
                  <Share part={one.overruled} of={one.trees} />
                </Figure>
                <Figure>{one.twice}</Figure>
                <Figure>
                  <Share part={one.agreed} of={one.twice} />
                </Figure>
                <Figure>{one.minutes == null ? '–' : one.minutes.toFixed(0)}</Figure>
              </tr>
            ))}
          </tbody>
        </Scrolled>
        <p className="text-sm text-quiet">
          Agreed: of the trees that two or more signed without knowing of each other, those on which all gave
          one answer.
        </p>
      </Part>
      {pairs.length > 0 && (
        <Part title="Agreement by pair">
          <Scrolled of="each pair">
            <Heads first="answers that stood against each other" seasons={seasons} />
            <tbody>
              {pairs.map((pair) => (
                <tr key={`${pair.groupTitle} ${pair.first} ${pair.second}`} className="border-b border-line">
                  <th scope="row" className="py-1 font-normal">
                    {pair.groupTitle}: {pair.first} and {pair.second}
                  </th>
                  {seasons.map(({ surveyId }) => {
                    const then = pair.seasons.find((one) => one.surveyId === surveyId)
                    return (
                      <Figure key={surveyId}>
                        {then ? <Share part={then.agreed} of={then.twice} /> : '–'}
                      </Figure>
                    )
                  })}
                </tr>
              ))}
            </tbody>
          </Scrolled>
          <p className="text-sm text-quiet">
            Of the trees read twice to which everybody gave one of the two answers, those on which they
            agreed.
          </p>
        </Part>
      )}
      <Part title="The same plots">
        {plots.length === 0 ? (
          <p>No plot stands in two seasons yet. A season that is begun from another has its plots.</p>
        ) : (
          <>
            <Scrolled of="each plot">
              <Heads first="plot, contested of signed" seasons={seasons} />
              <tbody>
                {plots.map((plot) => (
                  <tr key={plot.code} className="border-b border-line">
                    <th scope="row" className="py-1 font-normal">
                      {plot.code}
                    </th>
                    {seasons.map(({ surveyId }) => {
                      const then = plot.seasons.find((one) => one.surveyId === surveyId)
                      return (
                        <Figure key={surveyId}>
                          {then ? (
                            <>
                              <Bar share={then.trees > 0 ? then.contested / then.trees : 0} />{' '}
                              <Link
                                to={`/surveys/${surveyId}/plots/${then.plotId}`}
                                className="inline-flex min-h-6 items-center font-semibold text-thistle underline"
                              >
                                {then.contested} of {then.trees}
                              </Link>
                            </>
                          ) : (
                            '–'
                          )}
                        </Figure>
                      )
                    })}
                  </tr>
                ))}
              </tbody>
            </Scrolled>
            <p className="text-sm text-quiet">A bar is the share of contested calls, from none to all.</p>
          </>
        )}
      </Part>
    </>
  )
}

type HeadsProps = { readonly first: string; readonly seasons: SeasonsCompared['seasons'] }

function Heads({ first, seasons }: HeadsProps) {
  return (
    <thead>
      <tr className="border-b-2 border-ink">
        <th scope="col">{first}</th>
        {seasons.map(({ surveyId, season }) => (
          <th key={surveyId} scope="col" className="figure pl-3 text-right">
            {season}
          </th>
        ))}
      </tr>
    </thead>
  )
}

/** A table that is moved sideways by itself where a screen is narrower, by keys too. */
function Scrolled({ of, children }: { readonly of: string; readonly children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: whoever has no pointer moves it by keys
    <section aria-label={`Figures of ${of}`} className="relative overflow-x-auto bg-card px-3" tabIndex={0}>
      <table className="w-full text-left">{children}</table>
    </section>
  )
}

/** So many, and the share that they are. */
function Share({ part, of }: { readonly part: number; readonly of: number }) {
  return (
    <>
      {part} {of > 0 && <span className="text-quiet">{Math.round((100 * part) / of)} %</span>}
    </>
  )
}

function Bar({ share }: { readonly share: number }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 60 10" className="inline-block h-2.5 w-15">
      <rect x="0.5" y="0.5" width="59" height="9" fill="none" className="stroke-edge" />
      <rect x="0.5" y="0.5" width={59 * share} height="9" className="fill-thistle" />
    </svg>
  )
}
