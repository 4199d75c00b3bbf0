export { RecordScreen as default } from '@/screens/record/RecordScreen';
