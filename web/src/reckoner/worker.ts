import {
  caliperLine,
  difference,
  lastLook,
  layOut,
  look,
  next,
  onPhoto,
  openSheet,
  outlook,
  practiceResult,
  practiceTree,
  taken,
  untouched,
} from 'goldthistle-reckoner'
import type { Answer, Asked, Question } from './questions'

const begun = new Map<string, unknown>() // what the server told of each tree

/** What the browser's core answers. */
function answerTo(asked: Asked): unknown {
  switch (asked.what) {
    case 'sheet':
      openSheet(asked.versionId, asked.version, asked.file)
      return undefined
    case 'tree':
      begun.set(asked.treeId, asked.onRecord)
      return undefined
    case 'laidOut': {
      const there = begun.get(asked.treeId)
      const laidOut = layOut(there, asked.entered, asked.month) as { readonly call: unknown }
      return { ...laidOut, differs: asked.compare ? difference(laidOut.call, there) : '' }
    }
    case 'outlook':
      return outlook(begun.get(asked.treeId), asked.entered, asked.year, asked.month)
    case 'taken':
      return taken(asked.versionId, asked.character, asked.parts)
    case 'onPhoto':
      return onPhoto(asked.versionId, asked.character, asked.photo)
    case 'caliperLine':
      return caliperLine(asked.line, asked.at)
    case 'practiceTree':
      return practiceTree(asked.versionId, asked.seed, asked.one, asked.other)
    case 'practiceResult':
      return practiceResult(asked.versionId, asked.made)
    case 'lastLook':
      return lastLook(asked.versionId, asked.asked, asked.month, asked.made)
    case 'looks':
      return asked.trees.map(look)
    case 'next':
      return next(asked.hereId, asked.trees)
    case 'untouched':
      return untouched(asked.versionId, asked.tree, asked.ground, asked.rules, asked.lacking, asked.month)
  }
}

self.onmessage = ({ data: { id, asked } }: MessageEvent<Question>) => {
  let answer: Answer
  try {
    answer = { id, told: answerTo(asked) }
  } catch (error) {
    answer = { id, failed: error instanceof Error ? error.message : String(error) }
  }
  self.postMessage(answer)
}
