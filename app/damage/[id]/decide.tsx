export { DecideScreen as default } from '@/screens/decide/DecideScreen';
