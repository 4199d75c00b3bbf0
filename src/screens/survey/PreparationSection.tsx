import { StyleSheet, View } from 'react-native';
import type { FaceWork } from '@/core/bench';
import { FACE_BACKS } from '@/core/job';
import { PREPARATION_SOURCE, PREPARATIONS, type PreparationId } from '@/core/prepare';
import { describeSource } from '@/core/sources';
import { FINISH_STATES, PROFILES } from '@/core/terms';
import type { Face } from '@/records';
import { Chips, Fold, LitCard, optionsOf, Section, Stepper, Text, TextField } from '@/ui';

const NOT_LOOKED = 'unknown';

/** How the finish is, and what is done before a new one: the evidence, the proposal, and what stands against the rest. */
export function PreparationSection({
  face,
  work,
  onChange,
}: {
  face: Face;
  work: FaceWork | undefined;
  onChange: (patch: Partial<Face>) => void;
}) {
  return (
    <>
      <Section title="How its finish is">
        <Chips<keyof typeof FINISH_STATES | typeof NOT_LOOKED>
          label="State of the finish"
          help="Look along it against the light, and press a fingernail into a hidden spot."
          options={[{ value: NOT_LOOKED, label: 'Not looked at yet' }, ...optionsOf(FINISH_STATES)]}
          value={face.finishState ?? NOT_LOOKED}
          onChange={(s) => onChange({ finishState: s === NOT_LOOKED ? undefined : s })}
        />
        <Chips
          label="What a hand has to follow"
          options={optionsOf(PROFILES)}
          value={face.profile ?? 'flat'}
          onChange={(profile) => onChange({ profile })}
        />
        <Stepper
          label="Faces that are alike"
          help="Four legs that are done alike count as one face, four times."
          value={face.alike ?? 1}
          least={1}
          most={60}
          onChange={(alike) => onChange({ alike })}
        />
      </Section>
      {work ? <Ways work={work} onChange={onChange} /> : null}
      <Fold title="Its part, and its back">
        <TextField
          label="Part it belongs to"
          help="Such as: left leaf, drawer, top. Left empty it goes with the frame. The plan of the piece says whether a part is finished apart."
          value={face.part ?? ''}
          most={40}
          onChange={(part) => onChange({ part: part.trim() || undefined })}
        />
        <Chips
          label="Where its back can be reached"
          help="A clamp needs something to hold on to behind the face."
          options={optionsOf(FACE_BACKS)}
          value={face.back ?? 'open'}
          onChange={(back) => onChange({ back })}
        />
      </Fold>
    </>
  );
}

function Ways({ work, onChange }: { work: FaceWork; onChange: (patch: Partial<Face>) => void }) {
  const { preparation } = work;
  const { id, proposed, options, passes } = preparation;
  const chosen = options.find((o) => o.id === id);
  const choose = (next: PreparationId): void => onChange({ prepare: next === proposed ? undefined : next });
  return (
    <LitCard
      eyebrow={id === proposed ? 'Proposed for this face' : 'Your own choice for this face'}
      title={`${PREPARATIONS[id].label}${passes > 1 ? `, ${passes} passes` : ''}`}
    >
      <Text>{`${PREPARATIONS[id].how} ${chosen?.why ?? ''}`}</Text>
      {chosen && !chosen.fits ? (
        <Text tone="oxblood">{`Against the advice. Proposed: ${PREPARATIONS[proposed].label.toLowerCase()}.`}</Text>
      ) : null}
      <Fold title="The other ways, and what stands against them">
        <View style={styles.ways}>
          {options
            .filter((o) => o.id !== id)
            .map((o) => (
              <View key={o.id}>
                <Text kind="strong">{PREPARATIONS[o.id].label}</Text>
                <Text kind="quiet">{`${o.fits ? 'Would do as well. ' : ''}${o.why}`}</Text>
              </View>
            ))}
        </View>
        <Chips<PreparationId>
          label="Take another"
          options={options.map((o) => ({ value: o.id, label: PREPARATIONS[o.id].label }))}
          value={id}
          onChange={choose}
        />
        <Text kind="quiet">{describeSource(PREPARATION_SOURCE)}</Text>
      </Fold>
    </LitCard>
  );
}

const styles = StyleSheet.create({ ways: { gap: 8 } });
