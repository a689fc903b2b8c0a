export { betterments, briefCautions, isBetterBought, type BriefCaution, type Betterment } from './advice';
export { CLUES, oldMaterial, speaksFor, type Clue, type Likely, type OldMaterial } from './clues';
export { firstFit, trialMaterial, type FirstFit } from './firstChoices';
export { howItLies, type HowItLies } from './howItLies';
export { sizesToTake, type SizeToTake } from './sizesToTake';
export { suitedMaterials, type Reason, type Suited } from './suited';
