import { useQuery } from '@tanstack/react-query'
import type { LifeStage } from '../../api/codes'
import type { Character, Sheet } from '../../api/types'
import { separationQuery } from './queries'

/** The checks that part a group's taxa best in a month without a wound, the best first. */
export function useBestChecks(sheet: Sheet, month: number, stage: LifeStage, most: number) {
  const { data, error, isPending } = useQuery(
    separationQuery({
      versionId: sheet.versionId,
      month,
      stage,
      school: undefined,
      taxa: sheet.taxa.map((one) => one.id),
    }),
  )
  const best: readonly Character[] = (data ?? [])
    .filter((power) => power.inSeason && power.bits > 0)
    .flatMap((power) => sheet.characters.find((one) => one.id === power.character) ?? [])
    .filter((one) => one.harm !== 'wound')
    .slice(0, most)
  return { best, error, isPending }
}
