import type { ImportColumn, ImportFile } from '../../api/types'

type Props = {
  readonly file: ImportFile
  readonly columns: readonly ImportColumn[]
  readonly onChange: (columns: readonly ImportColumn[]) => void
}

const SELECT = 'min-h-11 w-full rounded-plain border border-edge bg-card px-2'

/** What each heading of the file is taken for, in which unit, beside its first rows. */
export function Columns({ file, columns, onChange }: Props) {
  const taken = new Map(columns.map((column) => [column.heading, column]))
  const fields = new Map(file.fields.map((field) => [field.field, field]))
  const change = (heading: string, field: ImportColumn['field'] | '', unit?: string) => {
    const others = columns.filter((one) => one.heading !== heading && one.field !== field)
    const units = (field === '' ? undefined : fields.get(field))?.units ?? []
    onChange(
      field === ''
        ? others
        : [...others, { heading, field, ...(units.length > 0 ? { unit: unit ?? units[0] ?? '' } : {}) }],
    )
  }
  return (
    <div className="overflow-x-auto border border-line bg-card">
      <table className="w-full border-collapse text-left">
        <caption className="px-2 py-1 text-left font-semibold">What the columns hold</caption>
        <thead>
          <tr className="border-b border-ink">
            <th scope="col" className="px-2 py-1">
              heading
            </th>
            <th scope="col" className="px-2">
              is taken for
            </th>
            <th scope="col" className="px-2">
              in
            </th>
            <th scope="col" className="px-2">
              first rows
            </th>
          </tr>
        </thead>
        <tbody>
          {file.headings.map((heading, i) => {
            const column = taken.get(heading)
            const units = column ? (fields.get(column.field)?.units ?? []) : []
            return (
              <tr key={heading} className="border-b border-line">
                <th scope="row" className="px-2 py-1 font-semibold">
                  {heading}
                </th>
                <td className="px-2">
                  <select
                    aria-label={`${heading} is taken for`}
                    className={SELECT}
                    value={column?.field ?? ''}
                    onChange={(event) => change(heading, event.target.value as ImportColumn['field'] | '')}
                  >
                    <option value="">not taken over</option>
                    {file.fields.map((one) => (
                      <option key={one.field} value={one.field}>
                        {one.field}
                      </option>
                    ))}
                  </select>
                </td>
                <td className="px-2">
                  {column && units.length > 0 && (
                    <select
                      aria-label={`Unit of ${heading}`}
                      className={SELECT}
                      value={column.unit ?? ''}
                      onChange={(event) => change(heading, column.field, event.target.value)}
                    >
                      {units.map((unit) => (
                        <option key={unit} value={unit}>
                          {unit}
                        </option>
                      ))}
                    </select>
                  )}
                </td>
                <td className="figure max-w-96 truncate px-2">
                  {file.sample
                    .map((row) => row[i])
                    .filter((cell) => cell)
                    .join(' · ') || <span className="text-quiet">empty</span>}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}
