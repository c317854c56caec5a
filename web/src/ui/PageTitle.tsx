/** What the browser's tab and history call the page. */
export function PageTitle({ children }: { readonly children: string }) {
  return <title>{`${children} · Goldthistle`}</title>
}
