import { Button } from '../../ui/Button'
import { PageTitle } from '../../ui/PageTitle'

/** The card that is laid beside a leaf, four to an A4 page: it tells a photo's scale and its slant. */
export function ScaleCardPage() {
  return (
    <main className="own-size min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto max-w-3xl print:hidden">
        <PageTitle>Scale card</PageTitle>
        <h1 className="text-2xl">Scale card</h1>
        <p className="my-2 max-w-prose">
          Print this at its own size, without fitting it to the page, and cut it in four. Then lay a ruler on
          the bar: it must be as long as it says. Lay a card flat beside the leaf, on the same plane, and take
          the photo so that all four crosses are in it.
        </p>
        <Button look="main" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <img
        src="/api/scale-card"
        alt="Four cards, each with four crosses on a rectangle and a bar to check the printer by"
        className="mx-auto mt-4 w-full max-w-3xl border border-edge print:m-0 print:w-[297mm] print:max-w-none print:border-0"
      />
    </main>
  )
}
