export { StockScreen as default } from '@/screens/stock/StockScreen';
