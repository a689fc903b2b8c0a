export { LayoutsScreen as default } from '@ui/stages/layouts/LayoutsScreen';
