import { useState } from 'react'
import { CROWN_CLASSES, choiceOf, DAMAGES, STEM_FORMS } from '../../api/codes'
import { limits } from '../../api/limits'
import type { TreeBody, Vigour } from '../../api/types'
import { AnyOf } from '../../ui/AnyOf'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Tick } from '../../ui/Tick'
import { leadersOf } from './quickEntry'

type Props = {
  readonly body: TreeBody
  readonly onPut: (part: Partial<TreeBody>) => void
  /** told whether what was typed can be read */
  readonly onRead: (read: boolean) => void
  readonly wrong: string | undefined
}

const { least, most } = limits.VigourBody.dieback
const DIEBACK = Array.from({ length: most - least + 1 }, (_, i) => String(least + i))

const NOT_LOOKED = { value: '', text: 'not looked at' } as const

/** How a tree does: notes that decide nothing. */
export function VigourFields({ body, onPut, onRead, wrong }: Props) {
  const vigour: Vigour = body.vigour ?? { dead: false }
  const put = (part: Partial<Vigour>) => onPut({ vigour: { ...vigour, ...part } })
  const [leaders, setLeaders] = useState(vigour.leaders?.join('/') ?? '')
  const read = leadersOf(leaders)
  return (
    <fieldset className="grid gap-4 rounded-plain border border-line p-3">
      <legend className="px-1 font-semibold">How it does: a note, which decides nothing</legend>
      <Field
        label="Last leaders, mm"
        hint="the youngest first: 240/180/60"
        value={leaders}
        inputMode="numeric"
        onChange={(event) => {
          const typed = event.target.value
          setLeaders(typed)
          onRead(typed.trim() === '' || leadersOf(typed) !== undefined)
          put({ leaders: leadersOf(typed) ?? null })
        }}
        wrong={
          leaders.trim() !== '' && !read ? 'Lengths in mm with / between them, at most three years.' : wrong
        }
      />
      <div className="grid grid-cols-1 gap-4 sm:grid-cols-3">
        <Choice
          label="Crown dieback"
          options={[NOT_LOOKED, ...DIEBACK.map((value) => ({ value, text: value }))]}
          value={vigour.dieback == null ? '' : String(vigour.dieback)}
          onChange={(value) => put({ dieback: value === '' ? null : Number(value) })}
        />
        <Choice
          label="Crown class"
          options={[NOT_LOOKED, ...CROWN_CLASSES.map(choiceOf)]}
          value={vigour.crown ?? ''}
          onChange={(value) => put({ crown: value === '' ? null : value })}
        />
        <Choice
          label="Stem form"
          options={[NOT_LOOKED, ...STEM_FORMS.map(choiceOf)]}
          value={vigour.form ?? ''}
          onChange={(value) => put({ form: value === '' ? null : value })}
        />
      </div>
      <AnyOf
        label="Damage"
        options={DAMAGES}
        values={vigour.damages ?? []}
        onChange={(damages) => put({ damages })}
      />
      <div className="flex flex-wrap gap-x-6">
        <Tick words="Dead" on={vigour.dead} onChange={(dead) => put({ dead })} />
        <Tick
          words="A stem to favour when its neighbours are thinned"
          on={body.favoured ?? false}
          onChange={(favoured) => onPut({ favoured })}
        />
      </div>
    </fieldset>
  )
}
