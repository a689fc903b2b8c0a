/** All screens but the first. They load together, when the first of them is opened or the first screen has nothing to do. */
export { BenchScreen } from '../bench/BenchScreen';
export { RepairLayout } from '../frame/RepairLayout';
export { UnsettledSheet } from '../frame/UnsettledSheet';
export { DeletedScreen } from '../home/DeletedScreen';
export { NewRepairScreen } from '../home/NewRepairScreen';
export { LayersScreen } from '../layers/LayersScreen';
export { RevisionsScreen } from '../revisions/RevisionsScreen';
export { BriefStage } from '../stages/brief/BriefStage';
export { FitsStage } from '../stages/fits/FitsStage';
export { LayoutsScreen } from '../stages/layouts/LayoutsScreen';
export { MakeStage } from '../stages/make/MakeStage';
export { PhotosScreen } from '../stages/photos/PhotosScreen';
export { ShapeStage } from '../stages/shape/ShapeStage';
export { SizeSheetScreen } from '../stages/sheet/SizeSheetScreen';
export { SizesStage } from '../stages/sizes/SizesStage';
export { TrialStage } from '../stages/trial/TrialStage';
export { WorkshopScreen } from '../workshop/WorkshopScreen';
