import { useQuery } from '@tanstack/react-query'
import { useMatch, useNavigate } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import type { Observer } from '../../api/types'
import { benchQuery } from '../../common/bench/queries'
import { foundTreesQuery } from '../../common/plot/queries'
import type { Place } from '../../ui/Palette'
import { chooseTheme, THEMES, theme } from '../../ui/theme'

const LIGHTS = { day: 'Day', dusk: 'Dusk', sun: 'Bright sun' } as const

/** The checks of the tree on the Bench; none on other pages. */
function useChecks(asked: boolean): readonly Place[] {
  const navigate = useNavigate()
  const { surveyId = '', treeId = '' } = useMatch('/surveys/:surveyId/trees/:treeId')?.params ?? {}
  const version = useQuery({
    ...benchQuery(surveyId, treeId),
    enabled: asked && treeId !== '',
    select: (bench) => bench.sheetVersionId, // so that the page's frame is not drawn anew with every reading
  })
  const sheet = useQuery({ ...sheetQuery(version.data ?? ''), enabled: asked && version.data !== undefined })
  if (treeId === '') return []
  return (sheet.data?.characters ?? []).map((one) => ({
    id: one.id,
    words: one.name,
    hint: 'check',
    go: () => navigate(`?check=${one.id}`, { replace: true, state: { check: one.id } }),
  }))
}

/** Everywhere the command line goes: pages, groups, the survey's plots and trees, and the checks of the tree in hand. */
export function usePlaces(
  asked: boolean,
  typed: string,
  observer: Observer | null | undefined,
  signOut: () => void,
): readonly Place[] {
  const navigate = useNavigate()
  const { survey } = useSurvey(asked)
  const groups = useQuery({ ...groupsQuery, enabled: asked })
  const trees = useQuery({
    ...foundTreesQuery(survey?.id ?? '', typed),
    enabled: asked && survey !== undefined,
  })
  const checks = useChecks(asked)
  const isLead = observer?.role === 'lead'
  const found = trees.data ?? []
  const plots = new Map(found.map((tree) => [tree.plotId, tree.plotCode]))
  return [
    { id: 'today', words: 'Today', go: () => navigate('/today') },
    { id: 'season', words: 'Season', go: () => navigate('/season') },
    { id: 'plots', words: 'Plots', go: () => navigate('/plots') },
    { id: 'review', words: 'Review', go: () => navigate('/review') },
    { id: 'quality', words: 'Quality: agreement', go: () => navigate('/quality') },
    { id: 'lessons', words: 'Quality: what the record teaches', go: () => navigate('/quality/lessons') },
    { id: 'samples', words: 'Samples', go: () => navigate('/samples') },
    { id: 'groups', words: 'Groups', go: () => navigate('/groups') },
    { id: 'practice', words: 'Practice', go: () => navigate('/practice') },
    { id: 'instruments', words: 'Instruments', go: () => navigate('/instruments') },
    { id: 'scale-card', words: 'Scale card', go: () => navigate('/scale-card') },
    { id: 'drawings', words: 'All drawings', go: () => navigate('/drawings') },
    ...[...plots].map(([id, code]) => ({
      id,
      words: code,
      hint: 'plot',
      go: () => survey && navigate(`/surveys/${survey.id}/plots/${id}`),
    })),
    ...checks,
    ...found.map((tree) => ({
      id: tree.id,
      words: `${tree.plotCode}, tree ${tree.tag}`,
      hint: tree.groupId?.replaceAll('-', ' ') ?? 'plain',
      go: () =>
        survey &&
        navigate(
          tree.groupId
            ? `/surveys/${survey.id}/trees/${tree.id}`
            : `/surveys/${survey.id}/plots/${tree.plotId}?tree=${tree.id}`,
        ),
    })),
    ...(groups.data ?? []).map((group) => ({
      id: group.groupId,
      words: `${group.title}, side by side`,
      go: () => navigate(`/groups/${group.groupId}`),
    })),
    ...(isLead
      ? [
          { id: 'people', words: 'People', go: () => navigate('/people') },
          {
            id: 'new-survey',
            words: 'New survey',
            go: () => navigate(`/surveys/${crypto.randomUUID()}/settings`),
          },
        ]
      : []),
    ...THEMES.filter((one) => one !== theme()).map((light) => ({
      id: light,
      words: LIGHTS[light],
      hint: 'light',
      go: () => chooseTheme(light),
    })),
    { id: 'sign-out', words: 'Sign out', go: signOut },
  ]
}
