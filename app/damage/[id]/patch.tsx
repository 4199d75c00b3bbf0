export { PatchScreen as default } from '@/screens/patch/PatchScreen';
