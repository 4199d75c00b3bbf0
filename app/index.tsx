export { PiecesScreen as default } from '@/screens/pieces/PiecesScreen';
