type Sent = { readonly seconds: number; readonly arrived: number }

/**
 * How old things are when they are sent, in whole seconds. The server takes a thing for made so long before it arrives; a slow
 * way, the rounding or a break in between must not turn the order round in which things were entered on a tree, so that none
 * is told to be older than the one before, but by the time since that one arrived.
 */
export class Ages {
  private readonly last = new Map<string, Sent>()

  /** For how many seconds something of a tree has waited that was entered at a time; both in milliseconds. */
  of(treeId: string, at: number, now: number): number {
    const before = this.last.get(treeId)
    const waited = Math.max(0, Math.floor((now - at) / 1000))
    const most = before ? before.seconds + Math.max(0, Math.floor((now - before.arrived) / 1000)) : waited
    const seconds = Math.min(waited, most)
    this.last.set(treeId, { seconds, arrived: now })
    return seconds
  }

  /** Notes when the last thing of a tree had arrived. */
  arrived(treeId: string, now: number): void {
    const before = this.last.get(treeId)
    if (before) this.last.set(treeId, { ...before, arrived: now })
  }
}
