import { useMutation } from '@tanstack/react-query'
import { useId, useRef } from 'react'
import { api, dataOf } from '../../api/client'
import { wordsOf } from '../../api/problem'
import type { DrawFile } from '../../common/draft/sheetFile'
import { OWN_PICTURE } from '../../draw/ownPicture'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

type Props = {
  readonly of: string
  readonly disabled: boolean
  readonly onChoose: (draw: DrawFile) => void
}

/** A picture of one's own instead of a drawing; it is kept with the versions that show it. */
export function OwnPicture({ of, disabled, onChoose }: Props) {
  const file = useRef<HTMLInputElement>(null)
  const id = useId()
  const send = useMutation({
    mutationFn: async (picture: File) =>
      dataOf(
        await api.PUT('/api/sheet-pictures', {
          body: picture as never, // the file itself, whatever the document says of bodies
          bodySerializer: (body) => body as unknown as Blob,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: ({ image }) => onChoose({ part: OWN_PICTURE, image }),
  })
  return (
    <>
      <Button disabled={disabled || send.isPending} onClick={() => file.current?.click()}>
        <span className="sr-only">{of}: </span>
        {send.isPending ? 'Sending …' : 'A picture of your own …'}
      </Button>
      <label htmlFor={id} className="sr-only">
        {of}: file of the picture
      </label>
      <input
        ref={file}
        id={id}
        type="file"
        accept="image/jpeg,image/png,image/webp"
        className="hidden"
        onChange={({ target }) => {
          const chosen = target.files?.[0]
          if (chosen) send.mutate(chosen)
          target.value = ''
        }}
      />
      {send.isError && <Notice tone="wrong">{wordsOf(send.error)}</Notice>}
    </>
  )
}
