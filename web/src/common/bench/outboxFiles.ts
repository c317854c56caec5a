import { createStore, del, get, set } from 'idb-keyval'

const store = createStore('goldthistle-photos', 'waiting') // opened when it is first asked

/** Keeps a photo on this device until the server has it, under the id that it will have. */
export async function keepFile(id: string, file: Blob): Promise<void> {
  await set(id, file, store)
}

/** A photo that waits; undefined: it is not on this device any more. */
export async function fileOf(id: string): Promise<Blob | undefined> {
  return await get<Blob>(id, store)
}

/** Lets go of a photo; one that cannot be is in nobody's way. */
export function forgetFile(id: string): void {
  del(id, store).catch(() => undefined)
}
