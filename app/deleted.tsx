export { DeletedScreen as default } from '@ui/home/DeletedScreen';
