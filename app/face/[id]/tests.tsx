export { TestsScreen as default } from '@/screens/survey/TestsScreen';
