import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { backupReminder, dayText } from '@/core/front';
import { download } from '@/instruments';
import { browserStore, localNow, useLastBackup, type SetAside } from '@/records';
import { useFront } from '@/records/front';
import { Button, LitCard, Notice, Progress, Section, Text } from '@/ui';
import { Page, Pane } from '../shared/Page';
import { useAct } from '../shared/useAct';
import { useInstall } from '../useInstall';
import { ReadInSection } from './ReadInSection';
import { RoomSection } from './RoomSection';
import { useSaving } from './useSaving';

/** All that is kept in this browser: saved to a file, read in from one, and what room it takes. */
export function DataScreen() {
  return (
    <Page
      title="Your data"
      eyebrow="Kept in this browser, saved where you want it"
      back={{ href: '/shop', label: 'Shop' }}
      board={
        <Pane>
          <SaveCard />
          <ReadInSection />
        </Pane>
      }
    >
      <RoomSection />
      <HomeScreenSection />
      <AsideSection />
    </Page>
  );
}

function HomeScreenSection() {
  const install = useInstall();
  const act = useAct();
  return (
    <Section title="On the home screen">
      <Text kind="quiet">
        There it opens by itself, works without a network, takes photos from the gallery, and the browser
        keeps its data more firmly.
      </Text>
      {install ? (
        <Button label="Put it on the home screen" onPress={() => act(install)} />
      ) : (
        <Text>
          Look for “Add to home screen” or “Install” in the browser’s own menu, unless it stands there
          already.
        </Text>
      )}
    </Section>
  );
}

function SaveCard() {
  const { going, cancel, save } = useSaving();
  const { at, loading } = useLastBackup();
  const { front } = useFront();
  // What the first page knew may be older than a file saved just now.
  const known = front.unsaved && front.unsaved.last === at ? front.unsaved : undefined;
  const due = known ? backupReminder(known, localNow()) : undefined;
  return (
    <LitCard eyebrow={due ? 'Now' : 'Keep a copy'} title="Save everything to a file">
      <Text>
        {due ??
          (at
            ? `Last saved on ${dayText(at)} at ${at.slice(11, 16)}.`
            : loading
              ? 'One moment.'
              : 'Nothing was saved to a file from this browser yet.')}
      </Text>
      <Text kind="quiet">
        One ZIP file with all records, every photo and lists for a spreadsheet. It is read back before it is
        called saved. Keep it on another device.
      </Text>
      {going ? (
        <Progress label={going.label} fraction={going.fraction} onCancel={cancel} />
      ) : (
        <Button label="Save everything to a file" kind="main" onPress={save} />
      )}
    </LitCard>
  );
}

/** So many are named; the others are in the file. */
const NAMED = 5;

function AsideSection() {
  const act = useAct();
  const [aside, setAside] = useState<SetAside[]>([]);
  useEffect(() => {
    act(async () => setAside(await browserStore.listAside()));
  }, [act]);
  if (aside.length === 0) return null;
  return (
    <Section title="Set aside">
      <Notice
        kind="stop"
        title={`${aside.length} ${aside.length === 1 ? 'record' : 'records'} could not be read`}
      >
        <View style={{ gap: 8 }}>
          <Text>
            They are kept as they are and go into every backup, so that a later version may read them.
          </Text>
          {aside.slice(0, NAMED).map((a) => (
            <Text key={a.key} kind="quiet" verbatim>{`${a.key}: ${a.reason}`}</Text>
          ))}
          <Button
            label="Save them to a file"
            onPress={() =>
              act(() => download(JSON.stringify(aside, null, 2), 'set-aside.json', 'application/json'))
            }
          />
        </View>
      </Notice>
    </Section>
  );
}
