export { TapScreen as default } from '@/screens/survey/TapScreen';
