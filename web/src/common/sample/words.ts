import type { Analysis, SampleStep } from '../../api/codes'

const SAID: Readonly<Record<SampleStep, string>> = {
  asked: 'asked for',
  taken: 'taken',
  packed: 'packed',
  received: 'received',
  answered: 'answered',
  weighed: 'weighed',
  lost: 'lost',
  spoilt: 'spoilt',
  withdrawn: 'withdrawn',
}

const IS: Readonly<Partial<Record<SampleStep, string>>> = {
  asked: 'to be taken',
  taken: 'taken, at hand',
  packed: 'in a parcel',
  received: 'at the laboratory',
  answered: 'came back',
}

const ANALYSES: Readonly<Record<Analysis, string>> = {
  ploidy: 'ploidy: sets of chromosomes',
  markers: 'markers: how much of each parent',
  sequence: 'sequence: which taxon',
}

/** Where a sample is. */
export const stepWords = (step: SampleStep): string => IS[step] ?? SAID[step]

/** What happened to a sample. */
export const saidWords = (step: SampleStep): string => SAID[step]

/** What a laboratory does with a sample. */
export const analysisWords = (analysis: Analysis): string => ANALYSES[analysis]
