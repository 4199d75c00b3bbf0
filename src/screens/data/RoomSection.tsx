import { useState } from 'react';
import { View } from 'react-native';
import { formatBytes } from '@/core/units';
import {
  browserStore,
  clearUnused,
  counted,
  deviceName,
  KINDS,
  localNow,
  putBack,
  renewKinds,
} from '@/records';
import { Button, Figure, Progress, Row, Section, Text, useSay } from '@/ui';
import { call, type Room } from '@/worker';
import { useAct } from '../shared/useAct';
import { useLong } from '../shared/useLong';
import { useBrowserStorage } from './useBrowserStorage';

/** What takes room in this browser, what the browser promises, and what could go. */
export function RoomSection() {
  const { said, ask } = useBrowserStorage();
  const { going, cancel, begin } = useLong();
  const act = useAct();
  const say = useSay();
  const [room, setRoom] = useState<Room>();
  const look = (): void => begin('Counting', async (options) => setRoom(await call('room', {}, options)));
  const promise = (): Promise<void> =>
    act(async () => {
      const promised = await ask();
      say({
        text: promised
          ? 'The browser promised to keep it, and will not clear it by itself.'
          : 'The browser did not promise it. Save to a file often; adding this page to the home screen helps with some browsers.',
      });
    });
  const clear = (): Promise<void> =>
    act(async () => {
      const gone = await clearUnused(browserStore, localNow());
      await renewKinds(['picture']);
      setRoom(undefined);
      say({
        text: `${counted('picture', gone.length)} that nothing showed ${gone.length === 1 ? 'was' : 'were'} put away.`,
        action: { label: 'Undo', run: () => act(() => putBack(gone)) },
      });
    });
  const thin = (ids: string[]): void =>
    begin('Making photos smaller', async (options) => {
      const gained = await call('thin', { pictures: ids, device: deviceName() }, options);
      await renewKinds(KINDS);
      setRoom(undefined);
      say({ text: `${formatBytes(gained)} were gained. Nothing is measured on these photos.` });
    });
  return (
    <Section title="Room in this browser">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        {said.usedBytes === undefined ? null : (
          <Figure
            label="Taken"
            value={formatBytes(said.usedBytes)}
            {...(said.mostBytes ? { note: `of ${formatBytes(said.mostBytes)} the browser allows` } : {})}
          />
        )}
        {said.kept === undefined ? null : (
          <Figure label="Kept" value={said.kept ? 'Yes' : 'No promise'} note="by the browser’s own word" />
        )}
      </View>
      {said.kept ? null : (
        <View style={{ gap: 8 }}>
          <Text kind="quiet">
            A browser that runs out of room may clear what it did not promise to keep. Ask it.
          </Text>
          <Button label="Ask the browser to keep it" onPress={promise} />
        </View>
      )}
      {going ? <Progress label={going.label} fraction={going.fraction} onCancel={cancel} /> : null}
      {room ? (
        <Shares room={room} onClear={clear} onThin={thin} />
      ) : going ? null : (
        <Button label="Show what takes room" onPress={look} />
      )}
    </Section>
  );
}

function Shares({
  room: { kinds, aside, unused, thinnable },
  onClear,
  onThin,
}: {
  room: Room;
  onClear: () => void;
  onThin: (ids: string[]) => void;
}) {
  const sum = (list: readonly { bytes: number }[]): string =>
    formatBytes(list.reduce((s, p) => s + p.bytes, 0));
  const rows = KINDS.filter((k) => kinds[k].count > 0).sort((a, b) => kinds[b].bytes - kinds[a].bytes);
  return (
    <View style={{ gap: 12 }}>
      <View>
        {rows.map((k, i) => (
          <Row
            key={k}
            title={counted(k, kinds[k].count)}
            value={formatBytes(kinds[k].bytes)}
            last={i === rows.length - 1 && aside.count === 0}
          />
        ))}
        {aside.count > 0 ? (
          <Row title={`${aside.count} set aside`} value={formatBytes(aside.bytes)} last />
        ) : null}
      </View>
      {unused.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text>{`${counted('picture', unused.length)} (${sum(unused)}) that no piece, face, veneer or log entry shows.`}</Text>
          <Text kind="quiet" verbatim>
            {unused
              .slice(0, 6)
              .map((u) => u.name)
              .join('; ')}
          </Text>
          <Button label="Put the unused photos away" onPress={onClear} />
        </View>
      ) : (
        <Text kind="quiet">Every photo is shown somewhere.</Text>
      )}
      {thinnable.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text>{`${counted('picture', thinnable.length)} (${sum(thinnable)}) only remind: nothing is measured on them, and no colour read. They can be made smaller. This cannot be undone, so save to a file first.`}</Text>
          <Button label="Make them smaller" onPress={() => onThin(thinnable.map((t) => t.id))} />
        </View>
      ) : null}
    </View>
  );
}
