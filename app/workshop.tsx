export { WorkshopScreen as default } from '@ui/workshop/WorkshopScreen';
