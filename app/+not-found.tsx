export { NotFoundScreen as default } from '@ui/home/NotFoundScreen';
