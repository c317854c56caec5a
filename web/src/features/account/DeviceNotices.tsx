import { useRegisterSW } from 'virtual:pwa-register/react'
import { useNoticed } from '../../api/server'
import { useSurvey } from '../../api/surveys'
import { useFreshPack } from '../../common/along/along'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

const HOUR = 1000 * 60 * 60 // milliseconds
const DAY = 24 * HOUR

/** By how much a clock is off, in words: "a day", "3 hours", "20 minutes". */
function offWords(milliseconds: number): string {
  const off = Math.abs(milliseconds)
  if (off >= DAY) return `${Math.round(off / DAY)} d`
  return off >= HOUR ? `${Math.round(off / HOUR)} h` : `${Math.round((off * 60) / HOUR)} min`
}

/** What is to be known of this page and the device it runs on; and what is along is kept fresh. */
export function DeviceNotices() {
  const { ahead, strange } = useNoticed()
  const { survey } = useSurvey()
  useFreshPack(survey?.id ?? '')
  const {
    needRefresh: [waits, setWaits],
    updateServiceWorker,
  } = useRegisterSW()
  return (
    <>
      {waits && (
        <Notice tone="plain">
          <span className="flex flex-wrap items-center gap-3">
            A newer version of Goldthistle is ready. What you entered stays; finish what you are at, then take
            it.
            <Button onClick={() => void updateServiceWorker(true)}>Take the newer version</Button>
            <Button look="quiet" onClick={() => setWaits(false)}>
              Later
            </Button>
          </span>
        </Notice>
      )}
      {strange && !waits && (
        <Notice tone="wrong">
          <span className="flex flex-wrap items-center gap-3">
            This page is of another version than the server, which may refuse what it sends. Nothing is lost:
            it waits here.
            <Button onClick={() => window.location.reload()}>Load the page anew</Button>
          </span>
        </Notice>
      )}
      {ahead !== 0 && (
        <Notice tone="waiting">
          The clock of this device is {offWords(ahead)} {ahead > 0 ? 'ahead' : 'behind'}. What you enter gets
          its time from how long ago it was, so nothing is wrong with it; set the clock right all the same.
        </Notice>
      )}
    </>
  )
}
