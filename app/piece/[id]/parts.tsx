export { PartsScreen as default } from '@/screens/survey/PartsScreen';
