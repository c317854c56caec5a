import { useState } from 'react'
import { useKeptText } from '../../api/kept'
import { useObserver } from '../../api/observer'
import type { Sheet } from '../../api/types'
import { call, type Try } from '../../common/practice/practiceStore'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { CallFields, calledAs, lackingIn } from './CallFields'

type Props = { readonly one: Try; readonly sheet: Sheet }

/** What the tree is called, and how sure one is, before anything is uncovered; what is chosen outlasts a reload. */
export function CallIt({ one, sheet }: Props) {
  const observer = useObserver().callSign
  const [named, setNamed] = useKeptText(`practice.${one.id}.named`)
  const [sure, setSure] = useKeptText(`practice.${one.id}.sure`)
  const [asked, setAsked] = useState(false)
  const lacks = lackingIn(named, sure)
  return (
    <form
      aria-label="Your call"
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        setAsked(true)
        if (lacks !== undefined) return
        call(observer, one.id, { ...calledAs(named, sure), at: Date.now() })
        setNamed('')
        setSure('')
      }}
    >
      <CallFields sheet={sheet} named={named} onName={setNamed} sure={sure} onSure={setSure} />
      {asked && lacks && <Notice tone="wrong">{lacks}</Notice>}
      <Button type="submit" look="main">
        Call it, and see
      </Button>
    </form>
  )
}
