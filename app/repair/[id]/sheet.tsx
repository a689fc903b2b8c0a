export { SizeSheetScreen as default } from '@ui/stages/sheet/SizeSheetScreen';
