import { api, dataOf, requireDone } from '../../api/client'
import { Away } from '../../api/problem'
import type { Plot, Tree } from '../../api/types'
import { outbox } from './outbox'
import { sendMemoryAid } from './queries'
import type { Elsewhere, Unsent } from './unsent'

type Told = { aid: true; tree: Tree; closed: Plot }

/** Hands in what was entered elsewhere than on a call. */
export async function sendElsewhere<E extends Elsewhere>(
  { surveyId, treeId }: Pick<Unsent, 'surveyId' | 'treeId'>,
  entered: E,
): Promise<Told[E['kind']]>
export async function sendElsewhere(
  { surveyId, treeId }: Pick<Unsent, 'surveyId' | 'treeId'>,
  entered: Elsewhere,
): Promise<Told[Elsewhere['kind']]> {
  switch (entered.kind) {
    case 'aid':
      await sendMemoryAid(entered.groupId, entered.characterId, entered.body)
      return true
    case 'tree':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/plots/{plotId}/trees/{treeId}', {
          params: { path: { surveyId, plotId: entered.plotId, treeId } },
          body: entered.body,
        }),
      )
    case 'closed':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/plots/{plotId}/closed', {
          params: { path: { surveyId, plotId: entered.plotId } },
          body: { closed: entered.closed },
        }),
      )
  }
}

/** Strikes a tree that was recorded by mistake. */
export async function strikeTree(surveyId: string, treeId: string): Promise<void> {
  requireDone(
    await api.DELETE('/api/surveys/{surveyId}/trees/{treeId}', {
      params: { path: { surveyId, treeId } },
    }),
  )
}

/**
 * Hands something in at once where there is a network and nothing waits before it, so that what is wrong with it is told
 * where it was typed; else it waits with the rest, and undefined comes back.
 */
export async function handIn<E extends Elsewhere>(
  entry: Omit<Unsent, 'turn' | 'at' | 'entered'> & { readonly entered: E },
): Promise<Told[E['kind']] | undefined> {
  const { entered, observer } = entry
  if (navigator.onLine && outbox.waiting(observer) === 0) {
    try {
      return await sendElsewhere(entry, entered)
    } catch (error) {
      if (!(error instanceof Away)) throw error
    }
  }
  outbox.add({ ...entry, at: Date.now() })
  return undefined
}
