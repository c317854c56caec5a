import { Printer } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import { Button } from './Button'
import { OneOf } from './OneOf'
import { PageTitle } from './PageTitle'
import { PAPERS, type Paper, usePaper } from './usePaper'

type Props = {
  readonly title: string
  /** What each printed page bears at its head. */
  readonly head: string
  readonly back: { readonly to: string; readonly words: string }
  /** Whether it can be set on A5 too. */
  readonly small?: boolean
  /** Beside the button that prints. */
  readonly tools?: ReactNode
  readonly children: ReactNode
}

const SIZES = PAPERS.map((value) => ({ value, text: value }))

/** Something set for paper; any browser prints it or keeps it as PDF. */
export function PaperPage({ title, head, back, small = false, tools, children }: Props) {
  const [paper, setPaper] = useState<Paper>('A4')
  usePaper(head, paper)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <PageTitle>{title}</PageTitle>
      <div className="mx-auto mb-3 flex w-[19cm] max-w-full flex-wrap items-center gap-2 print:hidden">
        <Button look="main" onClick={() => window.print()}>
          <Printer aria-hidden className="mr-1 inline size-4" />
          Print, or keep as PDF
        </Button>
        {small && <OneOf label="Paper" options={SIZES} value={paper} onChange={setPaper} />}
        {tools}
        <Link
          to={back.to}
          className="ml-auto inline-flex min-h-11 items-center font-semibold text-thistle underline"
        >
          {back.words}
        </Link>
      </div>
      <article
        className={`case-file mx-auto max-w-full bg-card p-[0.6cm] leading-snug print:p-0 ${
          paper === 'A4' ? 'w-[19cm] text-[10.5pt]' : 'w-[13.4cm] text-[9pt]'
        }`}
      >
        {children}
      </article>
    </main>
  )
}
