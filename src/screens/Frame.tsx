import { Link, usePathname } from 'expo-router';
import Hammer from 'lucide-react-native/icons/hammer';
import Layers from 'lucide-react-native/icons/layers';
import Lamp from 'lucide-react-native/icons/lamp-desk';
import Warehouse from 'lucide-react-native/icons/warehouse';
import { lazy, Suspense, useEffect, type ReactNode } from 'react';
import { Pressable, StyleSheet, useColorScheme, View } from 'react-native';
import { useClearing, useHeld, useNewer, useOtherWindows, useTrouble, useWaiting } from '@/records/changes';
import { useLook } from '@/records/look';
import {
  daylight,
  lamplight,
  Notice,
  space,
  Text,
  ThemeContext,
  ToastHost,
  UnitsContext,
  useTheme,
} from '@/ui';
import { loadWorkshop } from './fromWorkshop';
import { Guarded } from './shared/Guarded';
import { useWide } from './shared/Page';
// The browser offers the home screen while the first page loads.
import './useInstall';
import { useNewVersion } from './useNewVersion';

// What could not be saved is seldom there.
const HeldNotice = lazy(async () => ({ default: (await loadWorkshop()).HeldNotice }));

const PLACES = [
  { href: '/', label: 'Pieces', Icon: Lamp, under: ['/piece', '/face', '/damage', '/quick'] },
  { href: '/bench', label: 'Bench', Icon: Hammer, under: ['/bench'] },
  { href: '/stock', label: 'Stock', Icon: Layers, under: ['/stock'] },
  { href: '/shop', label: 'Shop', Icon: Warehouse, under: ['/shop'] },
] as const;

/** Theme, messages and the four places; the page itself goes inside. */
export function Frame({ children }: { children: ReactNode }) {
  const { theme: look, units } = useLook();
  const system = useColorScheme();
  const dark = look === 'lamplight' || (look === 'system' && system === 'dark');
  const theme = dark ? lamplight : daylight;
  const wide = useWide();
  // While the glue is out nothing leads away by accident.
  const path = usePathname();
  const focused = path.endsWith('/glueup');
  const newer = useNewer();
  const trouble = useTrouble();
  const waiting = useWaiting();
  const clearing = useClearing();
  const held = useHeld();
  useOtherWindows();
  const takeUp = useNewVersion();
  useEffect(() => {
    document.documentElement.style.background = theme.ground;
    document.documentElement.style.colorScheme = dark ? 'dark' : 'light';
  }, [theme, dark]);
  return (
    <UnitsContext.Provider value={units}>
      <ThemeContext.Provider value={theme}>
        <ToastHost bottom={wide ? 16 : 76}>
          <View style={[styles.frame, wide && styles.frameWide, { backgroundColor: theme.ground }]}>
            {wide && !focused ? <Places wide /> : null}
            <View role="main" style={styles.main}>
              {takeUp && !focused ? <NewVersion onTake={takeUp} /> : null}
              {newer ? (
                <Notice kind="stop" title="A newer version of the app has written here">
                  This page shows what is there and changes nothing. All that was saved is safe. Reload the
                  page to get the newer version.
                </Notice>
              ) : null}
              {trouble ? (
                <Notice kind="stop" title="The browser’s store cannot be read at the moment">
                  {`${trouble} What is missing here was not deleted.`}
                </Notice>
              ) : null}
              {clearing ? (
                <Notice kind="stop" title="This app’s store is being cleared from outside">
                  What is shown here is still there until this page is closed or loaded anew. Go to “Shop”,
                  “Your data” and save everything to a file now.
                </Notice>
              ) : null}
              {waiting ? (
                <Notice kind="rest" title="Another window of this app is writing">
                  What you change here waits for it and is kept meanwhile. If this stays, close the other
                  windows of the app.
                </Notice>
              ) : null}
              {held.length > 0 ? (
                <Suspense fallback={null}>
                  <HeldNotice held={held} />
                </Suspense>
              ) : null}
              <Guarded>{children}</Guarded>
            </View>
            {wide || focused ? null : <Places />}
          </View>
        </ToastHost>
      </ThemeContext.Provider>
    </UnitsContext.Provider>
  );
}

function Places({ wide = false }: { wide?: boolean }) {
  const theme = useTheme();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={[styles.bar, wide && styles.rail, { backgroundColor: theme.bar }]}
    >
      {PLACES.map(({ href, label, Icon, under }) => {
        const here = href === path || under.some((u) => path.startsWith(u));
        return (
          <Link
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            style={[styles.place, wide && styles.placeWide]}
          >
            <View
              style={[
                styles.placeInner,
                { borderColor: here ? theme.onBarLit : 'transparent' },
                wide ? styles.litLeft : styles.litTop,
              ]}
            >
              <Icon size={20} color={here ? theme.onBarLit : theme.onBarQuiet} />
              <Text kind="label" tone={here ? 'onBarLit' : 'onBarQuiet'}>
                {label}
              </Text>
            </View>
          </Link>
        );
      })}
    </View>
  );
}

/** A quiet line: a newer version is ready, and waits until it suits. */
function NewVersion({ onTake }: { onTake: () => void }) {
  const theme = useTheme();
  return (
    <View role="status" style={[styles.newer, { borderColor: theme.line }]}>
      <Text kind="label">A newer version is ready.</Text>
      <Pressable role="button" aria-label="Use the newer version" onPress={onTake} style={styles.take}>
        <Text kind="label" tone="lampText" style={{ textDecorationLine: 'underline' }}>
          Use it now
        </Text>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, height: '100%' },
  frameWide: { flexDirection: 'row' },
  main: { flex: 1, minWidth: 0, minHeight: 0 },
  bar: { flexDirection: 'row', height: 64 },
  rail: { flexDirection: 'column', width: 84, height: '100%', paddingTop: space(4) },
  place: { flex: 1, display: 'flex' },
  placeWide: { flexGrow: 0, flexShrink: 0, flexBasis: 72 },
  newer: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingHorizontal: space(5),
    borderBottomWidth: 1,
  },
  take: { minHeight: 44, justifyContent: 'center' },
  placeInner: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 2 },
  litTop: { borderTopWidth: 3 },
  litLeft: { borderLeftWidth: 3 },
});
