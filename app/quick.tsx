export { QuickScreen as default } from '@/screens/decide/QuickScreen';
