import type { components } from './schema'
import {
  absenceValues,
  analysisValues,
  caseReasonValues,
  cautionTopicValues,
  certaintyValues,
  characterKindValues,
  crownClassValues,
  damageValues,
  facultyValues,
  habitatValues,
  harmValues,
  lifeStageValues,
  materialValues,
  organValues,
  positionValues,
  rankValues,
  roleValues,
  schoolValues,
  senseValues,
  standingValues,
  stemFormValues,
  taxonOriginValues,
  tierValues,
  tissueValues,
  treeLookValues,
  treeOriginValues,
  workValues,
  zoneValues,
} from './schema'

type Schemas = components['schemas']

export type DraftStart = Schemas['DraftStart']
export type GateMark = Schemas['Mark']
export type Hindrance = Schemas['Hindrance']
export type Outcome = Schemas['Outcome']
export type ReviewOutcome = Schemas['ReviewOutcome']
export type LessonChoice = Schemas['LessonChoice']
export type Trait = Schemas['Trait']
export type Harm = Schemas['Harm']
export type EffectsKind = Schemas['EffectsKind']
export type TreeLook = Schemas['TreeLook']
export type Aspect = Schemas['Aspect']
export type Absence = Schemas['Absence']
export type CaseReason = Schemas['CaseReason']
export type CautionTopic = Schemas['CautionTopic']
export type Certainty = Schemas['Certainty']
export type CharacterKind = Schemas['CharacterKind']
export type Faculty = Schemas['Faculty']
export type Habitat = Schemas['Habitat']
export type LifeStage = Schemas['LifeStage']
export type ProposalKind = Schemas['ProposalKind']
export type Material = Schemas['Material']
export type Organ = Schemas['Organ']
export type Position = Schemas['Position']
export type Rank = Schemas['Rank']
export type Role = Schemas['Role']
export type School = Schemas['School']
export type Sense = Schemas['Sense']
export type Standing = Schemas['Standing']
export type TaxonOrigin = Schemas['TaxonOrigin']
export type Work = Schemas['Work']
export type NearKind = Schemas['NearStemKind']
export type LookVerdict = Schemas['LastLookVerdict']
export type Analysis = Schemas['Analysis']
export type SampleStep = Schemas['SampleStep']
export type Tissue = Schemas['Tissue']
export type CrownClass = Schemas['CrownClass']
export type StemForm = Schemas['StemForm']
export type Damage = Schemas['Damage']
export type Tier = Schemas['Tier']
export type TreeOrigin = Schemas['TreeOrigin']
export type Zone = Schemas['Zone']

// every list of codes is the server’s, by way of its document
export const ABSENCES: readonly Absence[] = absenceValues
export const HARMS: readonly Harm[] = harmValues
export const CASE_REASONS: readonly CaseReason[] = caseReasonValues
export const CAUTION_TOPICS: readonly CautionTopic[] = cautionTopicValues
export const CERTAINTIES: readonly Certainty[] = certaintyValues
export const CHARACTER_KINDS: readonly CharacterKind[] = characterKindValues
export const FACULTIES: readonly Faculty[] = facultyValues
export const HABITATS: readonly Habitat[] = habitatValues
/** What can be done with a tree that was approved for control. */
export const WORKS: readonly Work[] = workValues
export const STAGES: readonly LifeStage[] = lifeStageValues
export const MATERIALS: readonly Material[] = materialValues
export const ORGANS: readonly Organ[] = organValues
export const POSITIONS: readonly Position[] = positionValues
export const RANKS: readonly Rank[] = rankValues
export const ROLES: readonly Role[] = roleValues
export const SCHOOLS: readonly School[] = schoolValues
export const SENSES: readonly Sense[] = senseValues
export const STANDINGS: readonly Standing[] = standingValues
export const TAXON_ORIGINS: readonly TaxonOrigin[] = taxonOriginValues
export const TIERS: readonly Tier[] = tierValues
export const ORIGINS: readonly TreeOrigin[] = treeOriginValues
export const TREE_LOOKS: readonly TreeLook[] = treeLookValues
/** What a laboratory does with a sample. */
export const ANALYSES: readonly Analysis[] = analysisValues
/** What is cut for it. */
export const TISSUES: readonly Tissue[] = tissueValues
export const CROWN_CLASSES: readonly CrownClass[] = crownClassValues
export const STEM_FORMS: readonly StemForm[] = stemFormValues
export const DAMAGES: readonly Damage[] = damageValues
export const ZONES: readonly Zone[] = zoneValues

/** The stations as a crew calls them. */
export const ZONE_WORDS: Readonly<Record<Zone, string>> = {
  'stand-off': 'stand off',
  trunk: 'trunk',
  hand: 'hand',
  lens: 'lens',
  cut: 'knife',
}

/** A code as a choice, in its own words. */
export const choiceOf = <T extends string>(value: T) => ({ value, text: value.replaceAll('-', ' ') })

/** A station as a choice. */
export const stationOf = (value: Zone) => ({ value, text: ZONE_WORDS[value] })
