export { BriefStage as default } from '@ui/stages/brief/BriefStage';
