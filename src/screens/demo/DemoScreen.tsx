import { router, useLocalSearchParams } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { importRecords, importText, useList } from '@/records';
import { Button, LitCard, Progress, Text } from '@/ui';
import { Page } from '../shared/Page';
import { useAct } from '../shared/useAct';

const DEMO_FILE = '/demo/reading-room.lantern.json';

/** Brings the demo pieces into this browser, beside whatever is there; at once when the address asks for it (`?load`). */
export function DemoScreen() {
  const act = useAct();
  const { records, loading } = useList('piece');
  const { load: atOnce } = useLocalSearchParams<{ load?: string }>();
  const begun = useRef(false);
  const [busy, setBusy] = useState(false);
  const load = (): Promise<void> =>
    act(async () => {
      setBusy(true);
      try {
        const response = await fetch(DEMO_FILE);
        if (!response.ok)
          throw new Error('The demo pieces are not part of this installation. Build it with “npm run demo”.');
        await importRecords(importText(await response.text(), 'The demo').records);
        router.replace('/');
      } finally {
        setBusy(false);
      }
    });
  useEffect(() => {
    if (atOnce === undefined || loading || begun.current) return;
    begun.current = true;
    if (records.length > 0) router.replace('/');
    else load();
  });
  return (
    <Page title="The reading room's furniture" eyebrow="Demo" back={{ href: '/', label: 'Pieces' }}>
      <Text>
        A village reading room hands in its furniture: a burr-veneered lectern with a lifted and chipped
        slope, a cherry-veneered card-index cabinet, and a painted pine settle. People and places are made up;
        the pictures are generated or in the public domain.
      </Text>
      <LitCard
        eyebrow={records.length > 0 ? 'Your own pieces stay as they are' : 'Nothing is here yet'}
        title="Bring in the demo pieces"
      >
        {busy ? (
          <Progress label="Reading in the demo" fraction={0.5} />
        ) : (
          <Button label="Bring them in" kind="main" onPress={load} />
        )}
      </LitCard>
    </Page>
  );
}
