export { RepairLayout as default } from '@ui/frame/RepairLayout';
