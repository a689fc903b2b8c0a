export { NewRepairScreen as default } from '@ui/home/NewRepairScreen';
