import { Fragment, useState } from 'react'
import { stationOf, ZONES } from '../../api/codes'
import type { Character, Sheet } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { OneOf } from '../../ui/OneOf'
import { PageTitle } from '../../ui/PageTitle'
import { amid, counted, fractionWords, monthRuns } from '../../ui/words'
import { RibbonCell } from './RibbonCell'

const STATIONS = [{ value: 'all', text: 'all' } as const, ...ZONES.map(stationOf)]

/** Everything that the sheet knows of each character. */
export function Characters({ sheet }: { readonly sheet: Sheet }) {
  const [station, setStation] = useState<(typeof STATIONS)[number]['value']>('all')
  const [wanted, setWanted] = useState('')
  const words = wanted.trim().toLowerCase()
  const shown = sheet.characters.filter(
    (one) =>
      (station === 'all' || one.zone === station) &&
      (words === '' ||
        [one.name, one.howTo, one.pitfall ?? '', ...one.states.map((state) => state.name)].some((text) =>
          text.toLowerCase().includes(words),
        )),
  )
  return (
    <>
      <PageTitle>{`${sheet.title}: characters`}</PageTitle>
      <h1 className="text-2xl">{sheet.title}: characters</h1>
      <p className="max-w-prose">
        {counted(sheet.characters.length, 'character')}, version {sheet.version} of the sheet. {sheet.why}
      </p>
      <div className="my-3 flex flex-wrap items-end gap-3">
        <OneOf label="Station" options={STATIONS} value={station} onChange={setStation} />
        <label className="font-semibold">
          Look for
          <input
            type="search"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            className="ml-2 min-h-11 rounded-plain border border-edge bg-card px-3"
          />
        </label>
      </div>
      {shown.length === 0 && <p>No character of this group is like that.</p>}
      <ul className="grid gap-4">
        {shown.map((character) => (
          <li key={character.id} className="min-w-0">
            <CharacterCard sheet={sheet} character={character} />
          </li>
        ))}
      </ul>
      <h2 className="mt-4 text-lg">Names</h2>
      <ul className="list-disc pl-6">
        {sheet.taxa.map((taxon) => (
          <li key={taxon.id}>
            {taxon.commonName}, <span className="scientific">{taxon.scientificName}</span>
            {taxon.alsoCalled.length > 0 && `; also called ${taxon.alsoCalled.join(', ')}`}
          </li>
        ))}
      </ul>
      <h2 className="mt-4 text-lg">Sources</h2>
      <ul className="list-disc pl-6">
        {sheet.sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </>
  )
}

type Props = { readonly sheet: Sheet; readonly character: Character }

const MULTIPLIERS = [
  { key: 'stages', text: 'By stage' },
  { key: 'borne', text: 'Borne by trees' },
  { key: 'materials', text: 'By material' },
  { key: 'positions', text: 'By place in crown' },
] as const

function CharacterCard({ sheet, character }: Props) {
  const others = sheet.characters.filter(
    (one) => one !== character && one.cluster !== undefined && one.cluster === character.cluster,
  )
  return (
    <article
      id={character.id}
      ref={(card) => {
        if (card && window.location.hash === `#${character.id}`) card.scrollIntoView()
      }}
      className="gallery-row rounded-plain border border-line bg-card p-4"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-lg">{character.name}</h2>
        <p className="text-quiet">
          {[character.organ, character.zone === 'cut' ? 'knife' : character.zone.replace('-', ' ')].join(
            ', ',
          )}
          ; {monthRuns(character.months)}
        </p>
      </div>
      {character.states.length > 0 ? (
        <States sheet={sheet} character={character} />
      ) : (
        <ul className="my-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
          {character.profiles.map((profile, k) => (
            <li key={profile.taxon}>
              <span className="flex items-center gap-2 font-semibold">
                <Mark candidate={k} standing="other" />
                {sheet.taxa[k]?.commonName}
                {profile.derived && <span className="font-normal text-quiet">from its parents</span>}
              </span>
              {profile.range && <RibbonCell character={character} range={profile.range} values={[]} />}
            </li>
          ))}
        </ul>
      )}
      <dl className="grid gap-x-6 gap-y-1 md:grid-cols-[8rem_minmax(0,1fr)]">
        <dt className="font-semibold">How to look</dt>
        <dd>{character.howTo}</dd>
        {character.pitfall && (
          <>
            <dt className="font-semibold">Pitfall</dt>
            <dd>{character.pitfall}</dd>
          </>
        )}
        <dt className="font-semibold">Weight</dt>
        <dd>
          <span className="figure">{character.weight.toFixed(2)}</span>
          {Object.entries(character.schools).map(([school, weight]) => (
            <span key={school}>
              ; {school.replace('-', ' ')} <span className="figure">{weight.toFixed(2)}</span>
            </span>
          ))}
        </dd>
        {MULTIPLIERS.map(({ key, text }) => {
          const factors = Object.entries(character[key])
          return (
            factors.length > 0 && (
              <Fragment key={key}>
                <dt className="font-semibold">{text}</dt>
                <dd>
                  {factors.map(([code, factor], i) => (
                    <span key={code}>
                      {i > 0 && ', '}
                      {code} <span className="figure">×{factor}</span>
                    </span>
                  ))}
                </dd>
              </Fragment>
            )
          )
        })}
        {character.cluster && (
          <>
            <dt className="font-semibold">One signal with</dt>
            <dd>{others.length > 0 ? others.map((one) => amid(one.name)).join(', ') : 'nothing else'}</dd>
          </>
        )}
        {character.absence === 'weak' && (
          <>
            <dt className="font-semibold">Not seeing it</dt>
            <dd>tells little: it counts {fractionWords(sheet.counts.weakAbsence)}</dd>
          </>
        )}
        <dt className="font-semibold">Effort</dt>
        <dd>
          {counted(character.minutes, 'minute')}
          {character.replicates > 1 && `, ${character.replicates} looks`},{' '}
          {{ none: 'no harm', sample: 'a leaf or twig is taken', wound: 'wounds the tree' }[character.harm]}
          {character.hazards.length > 0 &&
            `; caution: ${character.hazards.map((one) => one.topic.replaceAll('-', ' ')).join(', ')}`}
        </dd>
      </dl>
    </article>
  )
}

/** The states with their drawings, and how often each taxon shows each. */
/** How often each taxon shows each state: a table, and on a phone the states one below the other. */
function States({ sheet, character }: Props) {
  return (
    <>
      <StateRows sheet={sheet} character={character} />
      <StateTable sheet={sheet} character={character} />
    </>
  )
}

function StateRows({ sheet, character }: Props) {
  return (
    <ul className="my-2 divide-y divide-line sm:hidden">
      {character.states.map((state, i) => (
        <li key={state.id} className="flex items-start gap-3 py-2">
          {state.draw && <Drawing hint={state.draw} className="size-16 shrink-0" />}
          <div className="min-w-0 flex-1">
            <p className="leading-tight font-semibold">{state.name}</p>
            {sheet.taxa.map((taxon, k) => (
              <Share
                key={taxon.id}
                candidate={k}
                name={taxon.commonName}
                share={character.profiles[k]?.frequencies?.[i] ?? 0}
              />
            ))}
          </div>
        </li>
      ))}
    </ul>
  )
}

type ShareProps = { readonly candidate: number; readonly name: string; readonly share: number }

function Share({ candidate, name, share }: ShareProps) {
  return (
    <p className="grid grid-cols-[1.25rem_minmax(0,1fr)_4rem_2rem] items-center gap-2 text-sm">
      <Mark candidate={candidate} standing="other" />
      {name}
      <span className="h-3 bg-line">
        <span className="block h-3 bg-moss" style={{ width: `${100 * share}%` }} />
      </span>
      <span className="figure text-right">{Math.round(100 * share)}</span>
    </p>
  )
}

function StateTable({ sheet, character }: Props) {
  return (
    <div className="my-2 overflow-x-auto max-sm:hidden">
      <table className="text-left">
        <thead>
          <tr className="align-bottom">
            <td />
            {character.states.map((state) => (
              <th key={state.id} scope="col" className="w-36 px-2 pb-1 leading-tight font-semibold">
                {state.draw && <Drawing hint={state.draw} className="mb-1 h-24 w-32" />}
                {state.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.taxa.map((taxon, k) => (
            <tr key={taxon.id} className="border-t border-line">
              <th scope="row" className="py-1 pr-3 font-normal">
                <span className="flex items-center gap-2">
                  <Mark candidate={k} standing="other" />
                  {taxon.commonName}
                </span>
              </th>
              {character.states.map((state, i) => {
                const share = character.profiles[k]?.frequencies?.[i] ?? 0
                return (
                  <td key={state.id} className="px-2 py-1">
                    <span className="flex items-center gap-2">
                      <span className="h-3 w-20 bg-line">
                        <span className="block h-3 bg-moss" style={{ width: `${100 * share}%` }} />
                      </span>
                      <span className="figure text-sm">{Math.round(100 * share)}</span>
                    </span>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
