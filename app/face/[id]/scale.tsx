export { ScaleScreen as default } from '@/screens/survey/ScaleScreen';
