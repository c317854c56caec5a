// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ObserverContext } from '../src/api/observer'
import type { Bench, Character, Observer, Sheet } from '../src/api/types'
import type { AsItStands } from '../src/common/bench/asItStands'
import { NumberEntry } from '../src/common/bench/NumberEntry'
import { outbox } from '../src/common/bench/outbox'
import { StateTiles } from '../src/common/bench/StateTiles'
import { SignForm } from '../src/features/bench/SignForm'
import type { ValueTaken } from '../src/reckoner/questions'
import { figures } from '../src/reckoner/reckoner'
import { Terms } from '../src/ui/Term'

const taxa = [
  { id: 'pendula', commonName: 'silver birch', scientificName: 'Betula pendula' },
  { id: 'pubescens', commonName: 'downy birch', scientificName: 'Betula pubescens' },
]
const teeth = {
  id: 'teeth',
  name: 'Teeth beyond',
  kind: 'count',
  states: [],
  profiles: taxa.map((one) => ({ taxon: one.id, derived: false, range: [0, 1, 3, 7] })),
  least: 0,
  most: 7,
  replicates: 5,
} as unknown as Character
const warts = {
  id: 'warts',
  name: 'Warts',
  kind: 'ordered',
  states: [
    { id: 'none', name: 'none' },
    { id: 'dense', name: 'dense' },
  ],
  profiles: taxa.map((one) => ({ taxon: one.id, derived: false, frequencies: [0.3, 0.7] })),
  replicates: 3,
} as unknown as Character
const sheet = {
  taxa,
  characters: [teeth, warts],
  gate: [],
  fallback: { commonName: 'birch', scientificName: 'Betula' },
} as unknown as Sheet

beforeEach(() => localStorage.clear())
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

function Counting({ added }: { readonly added: (values: readonly number[]) => void }) {
  const [values, setValues] = useState<readonly number[]>([])
  return (
    <NumberEntry
      sheet={sheet}
      character={teeth}
      values={values}
      covered={false}
      draftKey="draft"
      onAdd={(more) => {
        added(more)
        setValues([...values, ...more])
      }}
      onTakeOut={(place) => setValues(values.filter((_, i) => i !== place))}
    />
  )
}

describe('numbers as they are entered', () => {
  it('parts a row of digits, shows how, and keeps it with Enter', async () => {
    const added = vi.fn()
    const user = userEvent.setup()
    render(<Counting added={added} />)

    await user.type(screen.getByRole('textbox'), '32434')
    expect(screen.getByRole('status').textContent).toContain('3 · 2 · 4 · 3 · 4')
    await user.keyboard('{Enter}')

    expect(added).toHaveBeenCalledExactlyOnceWith([3, 2, 4, 3, 4])
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('')
  })

  it('asks once of a value beyond all candidates, and takes it when it is meant', async () => {
    const added = vi.fn()
    const user = userEvent.setup()
    render(<Counting added={added} />)

    await user.type(screen.getByRole('textbox'), '9{Enter}')
    expect(added).not.toHaveBeenCalled()
    expect(screen.getByRole('status').textContent).toContain('between 0 and 7')
    await user.keyboard('{Enter}')

    expect(added).toHaveBeenCalledExactlyOnceWith([9])
  })

  it('keeps what is no number where it was typed, also when the page is opened anew', async () => {
    const added = vi.fn()
    const user = userEvent.setup()
    const first = render(<Counting added={added} />)
    await user.type(screen.getByRole('textbox'), '2,5{Enter}')
    expect(screen.getByRole('status').textContent).toContain('not a whole number')

    first.unmount()
    render(<Counting added={added} />)

    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('2,5')
    expect(added).not.toHaveBeenCalled()
  })

  it('takes one of several back', async () => {
    const user = userEvent.setup()
    render(<Counting added={() => {}} />)
    await user.type(screen.getByRole('textbox'), '3 4{Enter}')

    await user.click(screen.getByRole('button', { name: 'Take back 3' }))

    expect(screen.getByRole('list', { name: 'Values' }).textContent).toBe('4')
  })
})

const shape = {
  ...teeth,
  kind: 'ratio',
  parts: [{ words: 'length' }, { words: 'width' }],
} as unknown as Character

function Shape() {
  const [values, setValues] = useState<readonly number[]>([])
  return (
    <NumberEntry
      sheet={sheet}
      character={shape}
      values={values}
      covered={false}
      draftKey="draft"
      onAdd={(more) => setValues([...values, ...more])}
      onTakeOut={() => {}}
    />
  )
}

describe('a leaf typed as its parts in one field', () => {
  const asked: ((told: ValueTaken) => void)[] = []
  const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: /^Measure/ })
  const answer = (told: ValueTaken) => act(async () => asked.shift()?.(told))
  beforeEach(() => {
    asked.length = 0
    vi.spyOn(figures, 'ask').mockImplementation(
      ((question: { what: string }) =>
        new Promise((resolve) => {
          if (question.what === 'taken') asked.push(resolve)
        })) as never,
    )
  })
  afterEach(() => vi.restoreAllMocks())

  it('is taken once however often Enter is pressed, and so is the next that is typed meanwhile', async () => {
    const user = userEvent.setup()
    render(<Shape />)

    await user.type(field(), '24/12{Enter}{Enter}{Enter}')
    await user.type(field(), '15/10{Enter}')
    await answer({ value: 2 })
    await answer({ value: 1.5 })

    expect(asked).toHaveLength(0)
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual(['2', '1.5'])
    expect(field().value).toBe('')
  })

  it('comes back with the reason where it is refused, before what was typed since', async () => {
    const user = userEvent.setup()
    render(<Shape />)

    await user.type(field(), '24/0{Enter}')
    await user.type(field(), '15/')
    await answer({ refused: 'The width is above 0' })

    expect(field().value).toBe('24/0 15/')
    expect(screen.getByText(/The width is above 0/)).toBeTruthy()
  })
})

function Tiles() {
  const [seen, setSeen] = useState<readonly string[]>([])
  return (
    <StateTiles
      sheet={sheet}
      character={warts}
      seen={seen}
      covered={false}
      onSee={(id) => setSeen([...seen, id])}
    />
  )
}

describe('states as tiles', () => {
  it('counts each touch, and says which are chosen', async () => {
    const user = userEvent.setup()
    render(<Tiles />)
    const dense = screen.getByRole('button', { name: /dense/ })

    await user.click(dense)
    await user.click(dense)

    expect(dense.getAttribute('aria-pressed')).toBe('true')
    expect(dense.textContent).toContain('×2')
    expect(screen.getByRole('button', { name: /none/ }).getAttribute('aria-pressed')).toBe('false')
  })
})

describe('the form for signing', () => {
  const balance = { lead: 'pendula', rival: 'pubescens', points: [{ character: 'warts', points: 6 }] }
  const bench = {
    tree: { surveyId: 's', id: 't', laboratoryUsed: true },
    sheetVersion: 1,
    readings: [{ id: 'r1', reading: { character: 'warts' } }],
    photos: [],
    missing: [],
    mayConfirm: ['warts'],
    conditions: [
      { code: 'photo', kind: 'photo', asks: 'a photo', met: false, missing: 'a photo is missing' },
      { code: 'reason:teeth', kind: 'reason', about: 'teeth', asks: 'a reason', met: false, missing: 'why?' },
    ],
    figures: { featuresAlone: balance, withSurroundings: balance },
    judgement: { tier: 'record', decidedOnFeaturesAlone: true, confirming: ['warts'], contrary: ['teeth'] },
  } as unknown as Bench
  const tree = { bench, sheet, onRecord: bench, unsent: [], warning: undefined } as unknown as AsItStands
  const siskin = { id: 'o', callSign: 'Siskin', role: 'crew', lacking: [], notices: [] } as Observer
  const form = () =>
    render(
      <QueryClientProvider client={new QueryClient()}>
        <ObserverContext value={siskin}>
          <Terms>
            <SignForm tree={tree} outcome="taxon" onDone={() => {}} />
          </Terms>
        </ObserverContext>
      </QueryClientProvider>,
    )

  it('ticks off what is being written, at once', async () => {
    const user = userEvent.setup()
    form()
    expect(screen.getByText('a photo is missing')).toBeDefined()

    await user.type(screen.getByLabelText(/Voucher/), 'bag 7')
    await user.type(screen.getByLabelText(/Why do you sign all the same/), 'a young leaf')

    expect(screen.queryByText('a photo is missing')).toBeNull()
    expect(screen.queryByText('why?')).toBeNull()
  })

  it('keeps what is written when it cannot be signed, and enters the signature once when it can', async () => {
    const user = userEvent.setup()
    const why = { type: 'not-signable', detail: 'Still missing: a photo.', refusals: [] }
    const ask = vi.spyOn(figures, 'ask')
    ask.mockResolvedValueOnce({ refused: { 0: why }, signatures: [] } as never)
    ask.mockResolvedValueOnce({ refused: {}, signatures: [{ id: 'signed' }] } as never)
    const first = form()
    await user.type(screen.getByLabelText(/^Note/), 'by the beck')
    await user.click(screen.getByRole('button', { name: 'Sign' }))
    expect(await screen.findByText(/Still missing: a photo/)).toBeDefined()
    expect(outbox.snapshot()).toEqual([])
    first.unmount()

    form()
    expect(screen.getByLabelText<HTMLTextAreaElement>(/^Note/).value).toBe('by the beck')
    await user.click(screen.getByRole('button', { name: 'Sign' }))
    await vi.waitFor(() => expect(outbox.snapshot()).toHaveLength(1))

    expect(outbox.snapshot()[0]?.entered).toMatchObject({
      kind: 'signature',
      signed: { outcome: 'taxon', taxonId: 'pendula', note: 'by the beck' },
    })
  })
})
