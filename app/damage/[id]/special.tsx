export { SpecialScreen as default } from '@/screens/special/SpecialScreen';
