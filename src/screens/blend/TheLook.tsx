import { useState } from 'react';
import { View } from 'react-native';
import { EYE_ARC_MINUTES, resolvedMm, VIEWS, type Lab, type ViewFrom } from '@/core/colour';
import type { RepairView } from '@/core/job';
import { figureAfter, type WantedCoats } from '@/core/pigment';
import { describeSource } from '@/core/sources';
import { CheckChips, Chips, Pixels, Section, Text } from '@/ui';
import { call } from '@/worker';
import { useLive } from '../shared/useLive';

const FROM: ViewFrom[] = ['close', 'armsLength', 'standing'];

/** The repair on its face, each product on or off, as it is seen from close by or standing. */
export function TheLook({
  repair,
  start,
  wanted,
  nameOf,
}: {
  repair: RepairView;
  start: Lab;
  wanted: readonly WantedCoats[];
  nameOf: (id: string) => string;
}) {
  const laid = wanted.filter((w) => w.coats > 0);
  const [off, setOff] = useState<readonly string[]>([]);
  const [from, setFrom] = useState<ViewFrom>('armsLength');
  const on = laid.filter((w) => !off.includes(w.coat.id));
  const look = { figure: figureAfter(start, on), finestMm: resolvedMm(VIEWS[from].fromMm.value) };
  const picture = useLive(JSON.stringify([repair, look]), () => call('repairLook', { repair, look }));
  return (
    <Section title="As it will look" help="The place on its face in the colour of the coats that are on.">
      {laid.length > 0 ? (
        <CheckChips<string>
          label="Coats that are on"
          options={laid.map((w) => ({ value: w.coat.id, label: `${nameOf(w.coat.id)}, ${w.coats}` }))}
          values={on.map((w) => w.coat.id)}
          onChange={(ids) => setOff(laid.map((w) => w.coat.id).filter((id) => !ids.includes(id)))}
        />
      ) : (
        <Text kind="quiet">No coat goes on: so the bare wood looks in its place.</Text>
      )}
      <Chips
        label="Seen"
        options={FROM.map((value) => ({ value, label: VIEWS[value].label }))}
        value={from}
        onChange={setFrom}
      />
      <View>
        <Pixels
          picture={picture}
          label={`The repair on its face, seen ${VIEWS[from].label.toLowerCase()}`}
          most={420}
        />
      </View>
      <Text kind="quiet">{`From afar, what lies closer together than the eye tells runs into one. ${describeSource(EYE_ARC_MINUTES.source)}`}</Text>
    </Section>
  );
}
