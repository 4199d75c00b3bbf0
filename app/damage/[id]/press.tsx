export { PressScreen as default } from '@/screens/press/PressScreen';
