export { SizesStage as default } from '@ui/stages/sizes/SizesStage';
