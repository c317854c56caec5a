import { useQuery } from '@tanstack/react-query'
import { takeUp, useTries } from '../../common/practice/practiceStore'
import { practiceQuery } from '../../common/practice/queries'

/**
 * What takes up the next tree and says where it is; undefined: it is not known yet. Without a network the pairs that the server
 * named last are gone through one after the other.
 */
export function useNextTree(observer: string): (() => string) | undefined {
  const practice = useQuery(practiceQuery)
  const tries = useTries(observer)
  if (!practice.data || practice.data.next.length === 0) return undefined
  const { next } = practice.data
  const since = tries.filter((one) => one.called && one.called.at > practice.dataUpdatedAt && !one.setId)
  const wanted = next[since.length % next.length]
  return wanted && (() => `/practice/trees/${takeUp(observer, wanted)}`)
}
