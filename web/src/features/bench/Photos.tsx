import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Camera } from 'lucide-react'
import { useRef, useState } from 'react'
import { wordsOf } from '../../api/problem'
import type { Bench } from '../../api/types'
import { benchQuery, photoAddress, sendPhoto } from '../../common/bench/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'

const KINDS = 'image/jpeg,image/png,image/webp'

type Picked = { readonly id: string; readonly file: File }

/** Photos of one character, and one more from the device. A photo stays here until the server has it. */
export function Photos({ bench, character }: { readonly bench: Bench; readonly character: string }) {
  const queries = useQueryClient()
  const { surveyId, id: treeId } = bench.tree
  const field = useRef<HTMLInputElement>(null)
  const [picked, setPicked] = useState<Picked>()
  const [openId, setOpenId] = useState<string>()
  const send = useMutation({
    mutationFn: ({ id, file }: Picked) => sendPhoto(surveyId, treeId, id, character, file),
    onSuccess: (answer) => {
      queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer)
      setPicked(undefined)
    },
  })
  const pick = (file: File | undefined) => {
    if (!file) return
    const one = { id: crypto.randomUUID(), file }
    setPicked(one)
    send.mutate(one)
    if (field.current) field.current.value = '' // so that the same file can be chosen again
  }
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={KINDS}
        className="sr-only"
        aria-label="Photo"
        tabIndex={-1}
        onChange={(event) => pick(event.target.files?.[0])}
      />
      <Button onClick={() => field.current?.click()} disabled={send.isPending}>
        <Camera aria-hidden className="mr-2 inline size-4" />
        {send.isPending ? 'Sending the photo …' : 'Photo'}
      </Button>
      {bench.photos
        .filter((one) => one.character === character)
        .map((one, i) => (
          <button
            key={one.id}
            type="button"
            className="size-11 overflow-hidden rounded-plain border border-ink"
            onClick={() => setOpenId(one.id)}
          >
            <img
              src={photoAddress(surveyId, treeId, one.id)}
              alt={`No. ${i + 1} of this check`}
              className="size-full object-cover"
            />
          </button>
        ))}
      {send.isError && picked && (
        <div className="w-full">
          <Notice tone="wrong">
            {wordsOf(send.error)} The photo “{picked.file.name}” is not stored.{' '}
            <Button onClick={() => send.mutate(picked)}>Try again</Button>{' '}
            <Button
              onClick={() => {
                setPicked(undefined)
                send.reset()
              }}
            >
              Drop it
            </Button>
          </Notice>
        </div>
      )}
      <Sheet
        title="Photo"
        open={openId !== undefined}
        onOpenChange={(stays) => !stays && setOpenId(undefined)}
      >
        {openId && (
          <img src={photoAddress(surveyId, treeId, openId)} alt="In full" className="mx-auto max-h-[75dvh]" />
        )}
      </Sheet>
    </>
  )
}
