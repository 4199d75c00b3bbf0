import Mono from '../assets/fonts/Mono.woff2';
import Slab from '../assets/fonts/Slab.woff2';
import Text from '../assets/fonts/Text.woff2';
import TextBold from '../assets/fonts/TextBold.woff2';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { ErrorBoundary } from 'react-error-boundary';
import { Frame } from '@/screens/Frame';
import { Broken } from '@/screens/shared/Broken';

export default function Layout() {
  // Text shows in the browser's own face until ours are there; nothing waits for them.
  useFonts({
    Slab,
    Text,
    TextBold,
    Mono,
  });
  return (
    // Whatever happens to the frame itself, the page says what is safe.
    <ErrorBoundary FallbackComponent={Broken}>
      <Frame>
        <Slot />
      </Frame>
    </ErrorBoundary>
  );
}
