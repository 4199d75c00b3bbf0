export { MarkScreen as default } from '@/screens/survey/MarkScreen';
