import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { sheetFileQuery } from '../../api/sheets'
import type { LookAsked, LookResult, Sheet } from '../../api/types'
import type { Looking } from '../../common/control/lookStore'
import { figures } from '../../reckoner/reckoner'

/** What a look says so far, reckoned on this device; an error: why it cannot be told; undefined: one moment. */
export function useLook(
  versionId: string,
  sheet: Sheet,
  asked: LookAsked,
  month: number,
  at: Looking,
): LookResult | Error | undefined {
  const file = useQuery(sheetFileQuery(versionId))
  const [told, setTold] = useState<LookResult | Error>()
  useEffect(() => {
    if (file.data === undefined) return
    let wanted = true
    const tell = async () => {
      await figures.open(versionId, async () => ({ version: sheet.version, file: file.data }))
      const made = { readings: at.readings, gate: at.gate }
      const { result, refused } = await figures.ask<'lastLook'>({
        what: 'lastLook',
        versionId,
        asked,
        month,
        made,
      })
      return result ?? new Error(refused)
    }
    tell().then(
      (next) => wanted && setTold(next),
      (error: unknown) => wanted && setTold(error instanceof Error ? error : new Error(String(error))),
    )
    return () => {
      wanted = false
    }
  }, [versionId, sheet, asked, month, at.readings, at.gate, file.data])
  return file.error && file.data === undefined ? file.error : told
}
