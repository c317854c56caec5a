import type { components } from './schema'

type Schemas = components['schemas']

export type Observer = Schemas['ObserverDto']
export type Survey = Schemas['SurveyDto']
export type TreeRow = Schemas['TreeRowDto']
export type Bench = Schemas['BenchDto']
export type Sheet = Schemas['SheetDto']
export type Character = Schemas['CharacterDto']
export type Taxon = Schemas['TaxonDto']
export type Circumstances = Schemas['Circumstances']
export type NewReading = Schemas['NewReading']
export type NewDetermination = Schemas['NewDetermination']
export type Determination = Schemas['DeterminationDto']
export type Figures = Schemas['Figures']
export type BalanceFigures = Schemas['BalanceFigures']
