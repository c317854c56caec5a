import { useQueryClient } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import { useHandOver } from '../along/useHandOver'
import { type Try, useTries, wasSent } from './practiceStore'
import { sendTry } from './queries'

type Waiting = {
  /** called here, and not on the server yet */
  readonly open: readonly Try[]
  /** why the last that was refused was */
  readonly refused: string | undefined
}

/** What was called on this device and waits for the server. */
export function useWaitingPractice(observer: string): Waiting {
  const tries = useTries(observer)
  return {
    open: tries.filter((one) => one.called && one.sent === undefined),
    refused: tries.map((one) => one.sent).find((why) => why !== undefined && why !== ''),
  }
}

/** Hands what was called to the server, whatever page is open; it waits on this device as long as it takes. */
export function useSendPractice(observer: string): void {
  const queries = useQueryClient()
  const { open } = useWaitingPractice(observer)
  useHandOver({
    kind: 'practice',
    waiting: open,
    send: async (one) => {
      await sendTry(one)
      wasSent(observer, one.id, '')
    },
    onRefused: (one, error) => wasSent(observer, one.id, wordsOf(error)),
    onDone: () => void queries.invalidateQueries({ queryKey: ['practice'] }),
  })
}
