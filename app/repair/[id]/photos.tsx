export { PhotosScreen as default } from '@ui/stages/photos/PhotosScreen';
