export { OutlineScreen as default } from '@/screens/survey/OutlineScreen';
