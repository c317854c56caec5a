import type { Sheet } from '../../api/types'
import { FitsOrFails } from '../../common/bench/FitsOrFails'
import { Drawing } from '../../ui/Drawing'

type Props = {
  readonly sheet: Sheet
  readonly gate: readonly { readonly item: string; readonly fits: boolean }[]
  readonly onMark: (item: string, fits: boolean | undefined) => void
}

/** What the group shares, to be marked at the tree. */
export function GateOfLook({ sheet, gate, onMark }: Props) {
  return (
    <ul className="mt-2 grid grid-cols-1 gap-2">
      {sheet.gate.map((item) => {
        const fits = gate.find((one) => one.item === item.id)?.fits
        return (
          <li
            key={item.id}
            className="grid grid-cols-[4.5rem_minmax(0,1fr)] items-center gap-3 rounded-plain border border-line bg-card p-2"
          >
            {item.draw ? <Drawing hint={item.draw} className="size-18" /> : <span />}
            <div className="grid gap-1">
              <h4 className="text-base leading-snug">{item.name}</h4>
              <p className="text-sm leading-snug text-quiet">{item.howTo}</p>
              <FitsOrFails about={item.name} fits={fits} onMark={(now) => onMark(item.id, now)} />
            </div>
          </li>
        )
      })}
    </ul>
  )
}
