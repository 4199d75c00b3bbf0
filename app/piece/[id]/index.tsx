export { TrailScreen as default } from '@/screens/pieces/TrailScreen';
