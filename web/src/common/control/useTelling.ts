import { useQueryClient } from '@tanstack/react-query'
import { Problem, wordsOf } from '../../api/problem'
import { useHandOver } from '../along/useHandOver'
import { useSaid, wasRefused, wasTold } from './lookStore'
import { sendSaid } from './queries'

/** Hands what was said at trees to the server in its order, whatever page is open. */
export function useTelling(observer: string): void {
  const queries = useQueryClient()
  const said = useSaid(observer)
  useHandOver({
    kind: 'control',
    waiting: said.filter((one) => one.sent === undefined).reverse(),
    send: async (one) => wasTold(observer, one.id, await sendSaid(one)),
    onRefused: (one, error) =>
      wasRefused(
        observer,
        one.id,
        wordsOf(error),
        error instanceof Problem && error.isStale ? error.kept : undefined,
      ),
    onDone: () => {
      void queries.invalidateQueries({ queryKey: ['control-cards'] })
      void queries.invalidateQueries({ queryKey: ['control'] })
    },
  })
}
