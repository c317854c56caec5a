import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { sheetQuery } from '../../api/sheets'
import type { Group, SurveySettings } from '../../api/types'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'

type Records = SurveySettings['records']

type Props = {
  readonly groups: readonly Group[]
  readonly records: Records
  readonly onChange: (records: Records) => void
}

/** Verified trees of the district: what was common weighs in before a tree is looked at, visibly. */
export function LocalRecords({ groups, records, onChange }: Props) {
  const [groupId, setGroupId] = useState(records[0]?.groupId ?? groups[0]?.groupId ?? '')
  const group = groups.find((one) => one.groupId === groupId)
  const sheet = useQuery({ ...sheetQuery(group?.versionId ?? ''), enabled: Boolean(group) })
  const countOf = (taxonId: string) =>
    records.find((one) => one.groupId === groupId && one.taxonId === taxonId)?.trees
  const change = (taxonId: string, text: string) => {
    const others = records.filter((one) => !(one.groupId === groupId && one.taxonId === taxonId))
    const trees = Math.max(0, Math.round(Number(text)))
    onChange(text === '' || !Number.isFinite(trees) ? others : [...others, { groupId, taxonId, trees }])
  }
  return (
    <section className="grid gap-3 border-t border-line pt-3">
      <div>
        <h2 className="text-lg">Verified trees of the district</h2>
        <p className="text-quiet">
          Determinations that were checked. They draw what is believed beforehand towards what grows here.
        </p>
      </div>
      <Choice
        label="Group"
        options={groups.map((one) => ({
          value: one.groupId,
          text: records.some((record) => record.groupId === one.groupId)
            ? `${one.title} · has records`
            : one.title,
        }))}
        value={groupId}
        onChange={setGroupId}
      />
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        {sheet.data?.taxa.map((taxon) => (
          <Field
            key={taxon.id}
            label={taxon.commonName}
            type="number"
            min={0}
            value={countOf(taxon.id) ?? ''}
            onChange={(event) => change(taxon.id, event.target.value)}
            placeholder="none"
          />
        ))}
      </div>
    </section>
  )
}
