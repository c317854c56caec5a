import { useEffect, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'

/** Whether something on the page is open; a link to the page may ask for it by its name, once: not again after a reload. */
export function useAsked(name: string) {
  const location = useLocation()
  const navigate = useNavigate()
  const asked = Boolean((location.state as Readonly<Record<string, unknown>> | null)?.[name])
  const [open, setOpen] = useState(asked)
  useEffect(() => {
    if (!asked) return
    setOpen(true)
    navigate({ search: location.search }, { replace: true })
  }, [asked, location.search, navigate])
  return [open, setOpen] as const
}
