export { MakeStage as default } from '@ui/stages/make/MakeStage';
