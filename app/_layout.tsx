import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { Frame } from '@/screens/Frame';

export default function Layout() {
  // Text shows in the browser's own face until ours are there; nothing waits for them.
  useFonts({
    Slab: require('../assets/fonts/Slab.woff2'),
    Text: require('../assets/fonts/Text.woff2'),
    TextBold: require('../assets/fonts/TextBold.woff2'),
    Mono: require('../assets/fonts/Mono.woff2'),
  });
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
