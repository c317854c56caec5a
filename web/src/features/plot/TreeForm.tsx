import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { choiceOf, HABITATS, ORIGINS, STAGES } from '../../api/codes'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import { keptInstead, wordsOf, wrongAt } from '../../api/problem'
import type { Group, NamedTaxon, Tree, TreeBody, TreeRow, Vigour } from '../../api/types'
import { handIn } from '../../common/bench/handIn'
import { AnyOf } from '../../ui/AnyOf'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { TextArea } from '../../ui/TextArea'
import { VigourFields } from './VigourFields'
import { vigourWords } from './vigourWords'

type Props = {
  readonly surveyId: string
  readonly plotId: string
  readonly plotCode: string
  readonly tree: TreeRow
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly groups: readonly Group[]
  readonly onDone: () => void
}

const MEASURES = [
  { key: 'tag', label: 'Tag', hint: undefined },
  { key: 'azimuthDegrees', label: 'Azimuth, °', hint: undefined },
  { key: 'distanceMetres', label: 'Distance, m', hint: undefined },
  { key: 'diameterMillimetres', label: 'Diameter, mm', hint: undefined },
  { key: 'heightDecimetres', label: 'Height, dm', hint: 'may stay empty' },
] as const

/** Changes a tree as it was entered. Where somebody else did so meanwhile, both versions are shown. */
export function TreeForm({ surveyId, plotId, plotCode, tree, trees, taxa, groups, onDone }: Props) {
  const queries = useQueryClient()
  const observer = useObserver().callSign
  const [body, setBody] = useState(() => bodyOf(tree))
  const [read, setRead] = useState(true)
  const change = useMutation({
    mutationFn: (asked: TreeBody) =>
      handIn({
        id: crypto.randomUUID(),
        observer,
        surveyId,
        treeId: tree.id,
        where: `${plotCode}, tree ${asked.tag}`,
        entered: { kind: 'tree', plotId, body: asked },
      }),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
      onDone()
    },
  })
  const put = (part: Partial<TreeBody>) => setBody({ ...body, ...part })
  // what was wrong with a field is told until it is changed
  const wrong = (key: keyof TreeBody) =>
    change.variables?.[key] === body[key] ? wrongAt(change.error, key) : undefined
  const submit = (event: FormEvent) => {
    event.preventDefault()
    change.mutate(body)
  }
  const kept = keptInstead<Tree>(change.error)
  const bearers = trees.filter(
    (one) => one.id !== tree.id && !one.cloneOf && one.groupId === body.groupId && one.groupId,
  )

  return (
    <form onSubmit={submit} className="grid gap-4" noValidate>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        {MEASURES.map(({ key, label, hint }) => (
          <Field
            key={key}
            label={label}
            type="number"
            step="any"
            value={body[key] ?? ''}
            onChange={(event) =>
              put({ [key]: event.target.value === '' ? undefined : Number(event.target.value) })
            }
            wrong={wrong(key)}
            hint={hint}
          />
        ))}
      </div>
      <OneOf
        label="Stage"
        options={STAGES.map(choiceOf)}
        value={body.stage}
        onChange={(stage) => put({ stage })}
      />
      <OneOf
        label="Origin"
        options={ORIGINS.map(choiceOf)}
        value={body.origin}
        onChange={(origin) => put({ origin })}
      />
      <div>
        <p className="font-semibold">Ground, where it is not as its plot’s</p>
        <AnyOf
          label="Ground"
          options={HABITATS}
          values={body.habitat ?? []}
          onChange={(habitat) => put({ habitat: habitat.length > 0 ? habitat : null })}
        />
      </div>
      <Choice
        label="What it is"
        options={[
          ...groups.map((one) => ({
            value: `group:${one.groupId}`,
            text: `one of the ${one.shortName}, for the Bench`,
          })),
          ...(body.plainTaxon && !taxa.some((one) => one.scientificName === body.plainTaxon)
            ? [{ value: `taxon:${body.plainTaxon}`, text: `plainly ${body.plainTaxon}` }]
            : []),
          ...[...new Map(taxa.map((one) => [one.scientificName, one])).values()].map((one) => ({
            value: `taxon:${one.scientificName}`,
            text: `plainly ${one.commonName}`,
          })),
        ]}
        value={body.groupId ? `group:${body.groupId}` : `taxon:${body.plainTaxon ?? ''}`}
        onChange={(value) =>
          put(
            value.startsWith('group:')
              ? { groupId: value.slice(6), plainTaxon: null, cloneOf: null }
              : { groupId: null, plainTaxon: value.slice(6), cloneOf: null },
          )
        }
      />
      {wrong('groupId') && <p className="text-rust-ink">{wrong('groupId')}</p>}
      {(bearers.length > 0 || body.cloneOf) && (
        <Choice
          label="Stem of a clone"
          options={[
            { value: '', text: 'no, it stands for itself' },
            ...bearers.map((one) => ({
              value: one.id,
              text: `yes, of tree ${one.tag}, which bears the call`,
            })),
          ]}
          value={body.cloneOf ?? ''}
          onChange={(value) => put({ cloneOf: value === '' ? null : value })}
        />
      )}
      {wrong('cloneOf') && <p className="text-rust-ink">{wrong('cloneOf')}</p>}
      <VigourFields body={body} onPut={put} onRead={setRead} wrong={wrong('vigour')} />
      <TextArea
        label="Condition"
        maxLength={limits.TreeBody.conditionNotes.longest}
        value={body.conditionNotes}
        onChange={(event) => put({ conditionNotes: event.target.value })}
      />
      {kept && (
        <TwoVersions
          mine={body}
          kept={kept}
          onMine={() => change.mutate({ ...body, version: kept.version })}
          onKept={async () => {
            await queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
            onDone()
          }}
        />
      )}
      {change.isError && !kept && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
      {!kept && (
        <Button type="submit" look="main" disabled={change.isPending || !read}>
          Keep the changes
        </Button>
      )}
    </form>
  )
}

const FIELDS: readonly (readonly [keyof TreeBody & keyof Tree, string])[] = [
  ['tag', 'tag'],
  ['azimuthDegrees', 'azimuth, °'],
  ['distanceMetres', 'distance, m'],
  ['diameterMillimetres', 'diameter, mm'],
  ['heightDecimetres', 'height, dm'],
  ['stage', 'stage'],
  ['origin', 'origin'],
  ['habitat', 'ground'],
  ['groupId', 'group'],
  ['plainTaxon', 'taxon'],
  ['conditionNotes', 'condition'],
  ['vigour', 'how it does'],
  ['favoured', 'to be favoured'],
]

type VersionsProps = {
  readonly mine: TreeBody
  readonly kept: Tree
  readonly onMine: () => void
  readonly onKept: () => void
}

/** What somebody else stored meanwhile beside what is on this page, where the two differ. */
function TwoVersions({ mine, kept, onMine, onKept }: VersionsProps) {
  const differing = FIELDS.filter(([key]) => said(mine[key]) !== said(kept[key]))
  return (
    <div className="rounded-plain border-2 border-gold bg-card p-4">
      <h3 className="text-lg">Somebody changed this tree after you opened it</h3>
      <table className="my-2 w-full text-left">
        <thead>
          <tr className="border-b border-line">
            <th scope="col" className="py-1">
              differs in
            </th>
            <th scope="col">yours</th>
            <th scope="col">stored now</th>
          </tr>
        </thead>
        <tbody>
          {differing.map(([key, word]) => (
            <tr key={key} className="border-b border-line">
              <th scope="row" className="py-1 font-normal">
                {word}
              </th>
              <td className="font-semibold">{said(mine[key])}</td>
              <td className="font-semibold">{said(kept[key])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={onMine}>
          Store mine instead
        </Button>
        <Button onClick={onKept}>Leave theirs</Button>
      </div>
    </div>
  )
}

function said(value: unknown): string {
  if (value === null || value === undefined || value === '' || value === false) return '—'
  if (value === true) return 'yes'
  if (isVigour(value)) return vigourWords(value) || '—'
  return Array.isArray(value) ? value.join(', ') : String(value)
}

function isVigour(value: unknown): value is Vigour {
  return typeof value === 'object' && value !== null && 'dead' in value
}

function bodyOf(tree: TreeRow): TreeBody {
  return {
    tag: tree.tag,
    azimuthDegrees: tree.azimuthDegrees,
    distanceMetres: tree.distanceMetres,
    diameterMillimetres: tree.diameterMillimetres,
    heightDecimetres: tree.heightDecimetres ?? null,
    stage: tree.stage,
    origin: tree.origin,
    habitat: tree.habitat ?? null,
    conditionNotes: tree.conditionNotes,
    groupId: tree.groupId ?? null,
    plainTaxon: tree.plainTaxon ?? null,
    cloneOf: tree.cloneOf ?? null,
    ...(tree.vigour && { vigour: tree.vigour }),
    favoured: tree.favoured,
    version: tree.version,
  }
}
