export { RevisionsScreen as default } from '@ui/revisions/RevisionsScreen';
