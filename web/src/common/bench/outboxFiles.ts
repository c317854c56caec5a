import { createStore, del, get, set } from 'idb-keyval'

const store = () => createStore('goldthistle-photos', 'waiting')

/** Keeps a photo on this device until the server has it, under the id that it will have. */
export async function keepFile(id: string, file: Blob): Promise<void> {
  await set(id, file, store())
}

/** A photo that waits; undefined: it is not on this device any more. */
export async function fileOf(id: string): Promise<Blob | undefined> {
  return await get<Blob>(id, store())
}

export async function forgetFile(id: string): Promise<void> {
  if (typeof indexedDB !== 'undefined') await del(id, store())
}
