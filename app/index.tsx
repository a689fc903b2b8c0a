export { HomeScreen as default } from '@ui/home/HomeScreen';
