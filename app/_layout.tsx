import Mono from '../assets/fonts/Mono.woff2';
import Slab from '../assets/fonts/Slab.woff2';
import Text from '../assets/fonts/Text.woff2';
import TextBold from '../assets/fonts/TextBold.woff2';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { Frame } from '@/screens/Frame';

export default function Layout() {
  // Text shows in the browser's own face until ours are there; nothing waits for them.
  useFonts({
    Slab,
    Text,
    TextBold,
    Mono,
  });
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
