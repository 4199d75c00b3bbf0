export { MovementScreen as default } from '@/screens/movement/MovementScreen';
