/// <reference types="vite-plugin-pwa/react" />
/** The browser's core as the build makes it of Java; the names are those of its class Reckoner, which a test holds them to. */
declare module 'goldthistle-reckoner' {
  /** Keeps a version of a sheet, as its file, for the calls that are read on it. */
  export function openSheet(versionId: string, version: number, file: unknown): void
  /** Everything that the Bench shows of a call, with what was entered since; the month is today's, 1-12. */
  export function layOut(begun: unknown, entered: readonly unknown[], month: number): unknown
  /** In which months a call could be settled, seen from a month of a year. */
  export function outlook(begun: unknown, entered: readonly unknown[], year: number, month: number): unknown
  /** The state of a call that nobody has begun, on a tree as it was entered on a plot's ground. */
  export function untouched(
    versionId: string,
    tree: unknown,
    ground: readonly string[],
    rules: unknown,
    lacking: readonly string[],
    month: number,
  ): unknown
  /** The value that comes of typed parts of a character of a sheet that is open, or why none does. */
  export function taken(versionId: string, character: string, parts: readonly number[]): unknown
  /** The value that comes of taps on a photo, or why none does yet, and the lines that guide them. */
  export function onPhoto(versionId: string, character: string, photo: unknown): unknown
  /** What a practice tree shows, and a call of it that nobody has begun. */
  export function practiceTree(versionId: string, seed: number, one: string, other: string): unknown
  /** What became of a practice tree. */
  export function practiceResult(versionId: string, made: unknown): unknown
  /** What a last look at a tree says before anything is cut, in a month of 1-12. */
  export function lastLook(versionId: string, asked: unknown, month: number, made: unknown): unknown
  /** What a line of a caliper comes to, that came at a time in milliseconds. */
  export function caliperLine(line: string, at: number): unknown
  /** How a tree stands and looks in its plot's table and map, and whether something is left to do at it. */
  export function look(tree: unknown): unknown
  /** Where an observer goes on to from a tree, among all trees of its plot. */
  export function next(hereId: string, trees: readonly unknown[]): unknown
  /** The first place where what was laid out here differs from what the server laid out; empty: they agree. */
  export function difference(here: unknown, there: unknown): string
}
