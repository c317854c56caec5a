import { useQuery } from '@tanstack/react-query'
import { Camera } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import type { Bench, KeptPhoto } from '../../api/types'
import { fileOf, keepFile } from '../../common/bench/outboxFiles'
import { photoAddress } from '../../common/bench/queries'
import { useEnter } from '../../common/bench/useEnter'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'

const KINDS = 'image/jpeg,image/png,image/webp'

/** Photos of one character, and one more from the device. A photo stays here until the server has it. */
export function Photos({ bench, character }: { readonly bench: Bench; readonly character: string }) {
  const field = useRef<HTMLInputElement>(null)
  const enter = useEnter(bench.tree)
  const [openId, setOpenId] = useState<string>()
  const [unkept, setUnkept] = useState<File>()
  const keep = async (file: File) => {
    setUnkept(undefined)
    const id = crypto.randomUUID()
    try {
      await keepFile(id, file)
    } catch {
      setUnkept(file)
      return
    }
    enter({ kind: 'photo', character, name: file.name, sizeBytes: file.size }, id)
  }
  const pick = (file: File | undefined) => {
    if (file) void keep(file)
    if (field.current) field.current.value = '' // so that the same file can be chosen again
  }
  const open = bench.photos.find((one) => one.id === openId)
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
      <Button onClick={() => field.current?.click()}>
        <Camera aria-hidden className="mr-2 inline size-4" />
        Photo
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
            <Picture
              tree={bench.tree}
              photo={one}
              alt={`No. ${i + 1} of this check`}
              className="size-full object-cover"
            />
          </button>
        ))}
      {unkept && (
        <div className="w-full">
          <Notice tone="wrong">
            This device has no room for the photo “{unkept.name}”, so it is not kept; everything else is. Let
            plots go that are along, or free some room, then try again.{' '}
            <Button onClick={() => void keep(unkept)}>Try again</Button>{' '}
            <Button onClick={() => setUnkept(undefined)}>Drop it</Button>
          </Notice>
        </div>
      )}
      <Sheet
        title="Photo"
        open={openId !== undefined}
        onOpenChange={(stays) => !stays && setOpenId(undefined)}
      >
        {open && <Picture tree={bench.tree} photo={open} alt="In full" className="mx-auto max-h-[75dvh]" />}
      </Sheet>
    </>
  )
}

type PictureProps = {
  readonly tree: Bench['tree']
  readonly photo: KeptPhoto
  readonly alt: string
  readonly className: string
}

/** A photo, from this device as long as the server does not have it. */
function Picture({ tree, photo, alt, className }: PictureProps) {
  const waits = photo.sha256 === ''
  const file = useQuery({
    queryKey: ['photo here', photo.id],
    queryFn: async () => (await fileOf(photo.id)) ?? null,
    enabled: waits,
    staleTime: Number.POSITIVE_INFINITY,
  })
  const [here, setHere] = useState<string>()
  const blob = file.data
  useEffect(() => {
    if (!blob) return
    const address = URL.createObjectURL(blob)
    setHere(address)
    return () => URL.revokeObjectURL(address)
  }, [blob])
  const address = waits ? here : photoAddress(tree.surveyId, tree.id, photo.id)
  return address ? (
    <img src={address} alt={alt} className={className} />
  ) : (
    <span className="sr-only">{alt}</span>
  )
}
