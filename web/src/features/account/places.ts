import { useQueries, useQuery } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import type { Place } from '../../ui/Palette'
import { chooseTheme, theme } from '../../ui/theme'
import { surveysQuery, treesQuery } from '../call/queries'
import { groupsQuery } from '../group/queries'

/** Everywhere the command line goes: pages, groups, and every tree of the observer's surveys. */
export function usePlaces(asked: boolean, signOut: () => void): readonly Place[] {
  const navigate = useNavigate()
  const surveys = useQuery({ ...surveysQuery, enabled: asked })
  const groups = useQuery({ ...groupsQuery, enabled: asked })
  const trees = useQueries({
    queries: (surveys.data ?? []).map((survey) => ({ ...treesQuery(survey.id), enabled: asked })),
  })
  return [
    { id: 'today', words: 'Today', go: () => navigate('/today') },
    { id: 'drawings', words: 'All drawings', go: () => navigate('/drawings') },
    { id: 'groups', words: 'Groups', go: () => navigate('/groups') },
    ...(surveys.data ?? []).flatMap((survey, i) =>
      (trees[i]?.data ?? []).map((tree) => ({
        id: tree.id,
        words: `${tree.plotCode}, tree ${tree.tag}`,
        hint: tree.groupTitle.split(',')[0],
        go: () => navigate(`/surveys/${survey.id}/trees/${tree.id}`),
      })),
    ),
    ...(groups.data ?? []).map((group) => ({
      id: group.groupId,
      words: `${group.title}, side by side`,
      go: () => navigate(`/groups/${group.groupId}`),
    })),
    {
      id: 'light',
      words: theme() === 'day' ? 'Dusk' : 'Day',
      hint: 'light',
      go: () => chooseTheme(theme() === 'day' ? 'dusk' : 'day'),
    },
    { id: 'sign-out', words: 'Sign out', go: signOut },
  ]
}
