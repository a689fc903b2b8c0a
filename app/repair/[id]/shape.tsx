export { ShapeStage as default } from '@ui/stages/shape/ShapeStage';
