export { AboutScreen as default } from '@/screens/survey/AboutScreen';
