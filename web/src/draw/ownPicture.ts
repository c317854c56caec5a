/** The part of a hint that shows a picture of the sheet's own instead of a drawing; its parameter is the print of the file. */
export const OWN_PICTURE = 'own-picture'

/** Where a picture of a sheet's own is; undefined: the hint is for a drawing. */
export function ownPictureOf(
  part: string,
  parameters: Readonly<Record<string, unknown>>,
): string | undefined {
  const { image } = parameters
  return part === OWN_PICTURE && typeof image === 'string' ? `/api/sheet-pictures/${image}` : undefined
}
