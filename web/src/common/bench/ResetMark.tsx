/** Said of a signature within an hour after somebody's link replaced its signer's passphrase. */
export function ResetMark() {
  return (
    <strong className="text-rust-ink">, within an hour after the passphrase was replaced by a link</strong>
  )
}
