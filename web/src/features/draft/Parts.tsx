import { idOf, newCharacter } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { counted } from '../../ui/words'
import { Another } from './Another'
import { countIn, useEditor } from './editor'
import type { Part } from './parts'

type Listed = { readonly id: Part; readonly text: string; readonly places: readonly string[] }

type Props = { readonly part: Part; readonly onChoose: (part: Part) => void }

/** The parts of the sheet; those that hold something wrong are marked. A narrow screen gets them folded. */
export function Parts({ part, onChoose }: Props) {
  const { sheet, refusals, readOnly, regional, change } = useEditor()
  const general: readonly Listed[] = [
    { id: 'effects', text: readOnly ? 'What would change' : 'What would change, and save', places: [] },
    { id: 'about', text: 'The group', places: ['format', 'id', 'title', 'region', 'why', 'fallback'] },
    { id: 'taxa', text: 'Taxa', places: ['taxa'] },
    { id: 'gate', text: 'First look and gate', places: ['firstLook', 'gate'] },
    { id: 'cautions', text: 'Cautions and sources', places: ['cautions', 'sources'] },
    { id: 'functions', text: 'Published functions', places: ['indices'] },
  ]
  const characters: readonly Listed[] = sheet.characters.map((character, i) => ({
    id: i,
    text: character.name || 'A new character',
    places: [`characters[${i}]`, `characters.${character.id}`],
  }))
  const all = [...general, ...characters]
  const wrong = (one: Listed) => countIn(refusals, ...one.places)
  const item = (one: Listed) => (
    <li key={one.id}>
      <button
        type="button"
        aria-current={part === one.id ? 'true' : undefined}
        onClick={() => onChoose(one.id)}
        className="flex min-h-11 w-full items-center gap-2 rounded-plain border-l-4 border-transparent px-2 py-1 text-left leading-tight hover:bg-thistle-wash aria-[current]:border-thistle aria-[current]:bg-card aria-[current]:font-bold"
      >
        <span className="grow">{one.text}</span>
        {wrong(one) > 0 && (
          <span className="figure rounded-full bg-rust px-2 text-sm text-card">
            {wrong(one)}
            <span className="sr-only"> to put right</span>
          </span>
        )}
      </button>
    </li>
  )
  return (
    <nav
      aria-label="Parts of the sheet"
      className="lg:sticky lg:top-0 lg:max-h-[calc(100dvh-6rem)] lg:overflow-y-auto"
    >
      <div className="lg:hidden">
        <Choice
          label="Part of the sheet"
          options={all.map((one) => ({
            value: String(one.id),
            text: wrong(one) > 0 ? `${one.text}: ${wrong(one)} to put right` : one.text,
          }))}
          value={String(part)}
          onChange={(chosen) => onChoose(all.find((one) => String(one.id) === chosen)?.id ?? 'about')}
        />
      </div>
      <div className="max-lg:hidden">
        <ul>{general.map(item)}</ul>
        <p className="mt-2 px-2 font-semibold">{counted(characters.length, 'character')}</p>
        <ul>{characters.map(item)}</ul>
      </div>
      {!readOnly && !regional && (
        <Another
          what="character"
          look="quiet"
          onClick={() => {
            change((before) => ({
              ...before,
              characters: [
                ...before.characters,
                newCharacter(
                  idOf(
                    '',
                    before.characters.map((other) => other.id),
                  ),
                  before.taxa,
                ),
              ],
            }))
            onChoose(sheet.characters.length)
          }}
        />
      )}
    </nav>
  )
}
