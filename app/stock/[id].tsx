export { VeneerScreen as default } from '@/screens/stock/VeneerScreen';
