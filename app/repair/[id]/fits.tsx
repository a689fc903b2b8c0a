export { FitsStage as default } from '@ui/stages/fits/FitsStage';
