export { FaceScreen as default } from '@/screens/survey/FaceScreen';
