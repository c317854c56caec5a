import { QueryClient, QueryObserver } from '@tanstack/react-query'
import { describe, expect, it, vi } from 'vitest'
import { fetchAnew } from '../src/api/anew'

/** A query that is shown, whose answers come when they are let go. */
function shown() {
  const queries = new QueryClient()
  const answers: ((answer: string) => void)[] = []
  const queryFn = () => new Promise<string>((resolve) => answers.push(resolve))
  const observer = new QueryObserver(queries, { queryKey: ['case', 1], queryFn })
  observer.subscribe(() => undefined)
  return { queries, answers, observer }
}

describe('what the server says to be new', () => {
  it('is asked for once more when the first answer was under way', async () => {
    const { queries, answers, observer } = shown()
    await vi.waitFor(() => expect(answers).toHaveLength(1))

    const done = fetchAnew(queries, ['case'])
    answers[0]?.('as it was')
    await vi.waitFor(() => expect(answers).toHaveLength(2))
    answers[1]?.('as it is')
    await done

    expect(observer.getCurrentResult().data).toBe('as it is')
  })

  it('is asked for once where there is an answer already', async () => {
    const { queries, answers, observer } = shown()
    await vi.waitFor(() => expect(answers).toHaveLength(1))
    answers[0]?.('as it was')
    await vi.waitFor(() => expect(observer.getCurrentResult().data).toBe('as it was'))

    const done = fetchAnew(queries, ['case'])
    await vi.waitFor(() => expect(answers).toHaveLength(2))
    answers[1]?.('as it is')
    await done

    expect(answers).toHaveLength(2)
    expect(observer.getCurrentResult().data).toBe('as it is')
  })
})
