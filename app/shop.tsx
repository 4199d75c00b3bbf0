export { ShopScreen as default } from '@/screens/shop/ShopScreen';
