import type { GateItem, Sheet } from '../../api/types'
import { FitsOrFails } from '../../common/bench/FitsOrFails'
import type { Work } from '../../common/bench/useWork'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Key } from '../../ui/Key'
import { useKeys } from '../../ui/useKeys'

type Props = { readonly sheet: Sheet; readonly broken: string; readonly work: Work }

/** What the group shares, as this tree shows it. */
export function PracticeGate({ sheet, broken, work }: Props) {
  const allFit = () => {
    for (const item of sheet.gate) if (work.marks.get(item.id) !== true) work.mark(item.id, 'fits')
  }
  useKeys({
    a: allFit,
    ...Object.fromEntries(sheet.gate.map((item, i) => [`${i + 1}`, () => work.mark(item.id, 'fits')])),
    ...Object.fromEntries(sheet.gate.map((item, i) => [`Shift+${i + 1}`, () => work.mark(item.id, 'fails')])),
  })
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h2 className="text-2xl">The gate</h2>
          <p className="text-quiet">What every tree of this group shares. This tree shows:</p>
        </div>
        <Button look="main" onClick={allFit}>
          All of it fits <Key name="a" />
        </Button>
      </div>
      <ul className="grid gap-2">
        {sheet.gate.map((item) => (
          <Item key={item.id} item={item} isBroken={item.id === broken} work={work} />
        ))}
      </ul>
    </div>
  )
}

type ItemProps = { readonly item: GateItem; readonly isBroken: boolean; readonly work: Work }

function Item({ item, isBroken, work }: ItemProps) {
  const drawn = isBroken ? item.drawOtherwise : item.draw
  const fits = work.marks.get(item.id)
  return (
    <li className="grid grid-cols-[6rem_minmax(0,1fr)] items-center gap-3 rounded-plain border border-line bg-card p-2">
      {drawn ? (
        <Drawing hint={drawn} className="size-24" />
      ) : (
        <p className="text-sm leading-tight">{isBroken ? item.otherwise : 'As it should be.'}</p>
      )}
      <div className="grid gap-1">
        <h3 className="text-base leading-snug">{item.name}</h3>
        <p className="text-sm leading-snug text-quiet">{item.howTo}</p>
        <FitsOrFails
          about={item.name}
          fits={fits}
          onMark={(now) => work.mark(item.id, now === undefined ? 'taken-back' : now ? 'fits' : 'fails')}
        />
      </div>
    </li>
  )
}
