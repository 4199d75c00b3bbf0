export { GrainScreen as default } from '@/screens/survey/GrainScreen';
