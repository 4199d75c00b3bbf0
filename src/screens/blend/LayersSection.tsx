import { View } from 'react-native';
import { BLEND_DEEDS } from '@/core/bench';
import {
  deltaE00,
  LAYER_MODEL,
  UNSEEN_FROM_A_STEP_BACK,
  type BlendPlan,
  type Lab,
  type Tones,
} from '@/core/colour';
import { cautionsFor, type RiskySurface } from '@/core/safety';
import { differenceWords, outlookBefore, seenStanding, type Outlook } from '@/core/shelf';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { Figure, Notice, Row, Section, Text } from '@/ui';
import { Cautions } from '../shared/Cautions';
import { Tone } from '../shared/Swatch';
import { OutlookFigure } from './OutlookFigure';

type Named = { lab: Lab; label: string };

/** A place before and after its bleach, beside the colour it shall have. */
export function AfterBleach({
  after,
  now,
  goal,
}: {
  after: { lab: Lab; words: string; spread: number };
  now: Lab;
  goal: Named;
}) {
  return (
    <Section title="After the bleach">
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone lab={now} label="As it is" />
        <Tone lab={after.lab} label="After it" />
        <Tone {...goal} />
      </View>
      <Text>{after.words}</Text>
      <Text kind="quiet">{`± ${after.spread.toFixed(0)} ΔE00: try it where it does not show.`}</Text>
    </Section>
  );
}

/** Bare wood beside the colour it shall have and what the layers make of it. @param tooDark title where it cannot be had */
export function BlendedSection({
  blend,
  outlook,
  title,
  help,
  goal,
  bare,
  tooDark,
}: {
  blend: BlendPlan;
  outlook: Outlook;
  title: string;
  help: string;
  goal: Named;
  bare: Named;
  tooDark: string;
}) {
  return (
    <Section title={title} help={help}>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Tone {...goal} />
        <Tone {...bare} />
        <Tone lab={blend.final} label="After all layers" />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
        <Figure
          label="Difference, bare"
          value={blend.bareDifference.toFixed(1)}
          unit="ΔE00"
          source={describeSource(LAYER_MODEL)}
        />
        <OutlookFigure
          label="Difference expected after all layers"
          outlook={outlook}
          alarm={seenStanding(outlook)}
          source={describeSource(UNSEEN_FROM_A_STEP_BACK.source)}
        />
      </View>
      {blend.tooDark ? (
        <Notice kind="stop" title={tooDark}>
          Colour cannot be taken away. Choose lighter wood, or bleach a test piece first.
        </Notice>
      ) : null}
    </Section>
  );
}

/** The layers of a blend in order, each with what it does to the colour and how long it is waited for. */
export const LayersSection = ({
  steps,
  tones,
  surface,
}: {
  steps: BlendPlan['steps'];
  tones: Tones;
  surface: RiskySurface;
}) => (
  <Section
    title="Layers, in this order"
    help="On a test board of the same wood first, sanded to the same grit."
  >
    {steps.map((step, i) => (
      <Layer key={step.id} step={step} nth={i + 1} tones={tones} surface={surface} />
    ))}
  </Section>
);

function Layer({
  step: s,
  nth,
  tones,
  surface,
}: {
  step: BlendPlan['steps'][number];
  nth: number;
  tones: Tones;
  surface: RiskySurface;
}) {
  const aim = s.id === 'dye' ? tones.ground : s.id === 'toner' ? tones.mean : tones.line;
  return (
    <View style={{ gap: 8 }}>
      <Text kind="subheading">{`${nth}. ${s.title}`}</Text>
      <Cautions ids={cautionsFor(BLEND_DEEDS[s.id], surface)} title="Before this layer" />
      {s.before && s.after ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Tone lab={s.before} label="Before" />
          <Tone lab={s.after} label="After" />
          <Tone lab={aim} label="Aim" />
        </View>
      ) : null}
      <Text>{s.detail}</Text>
      {s.left !== undefined ? (
        <Row
          title="Left to the aim"
          value={`${differenceWords(outlookBefore(s.left, s.before && s.after ? deltaE00(s.before, s.after) : 0))} ΔE00`}
          source={describeSource(LAYER_MODEL)}
          last
        />
      ) : null}
      {s.waitMin.value > 0 ? (
        <Row
          title="Wait before the next layer"
          detail={s.scuffGrit ? `Then scuff with ${s.scuffGrit.value} (ISO 6344)` : 'No scuffing'}
          value={formatMinutes(s.waitMin.value)}
          source={describeSource(s.waitMin.source)}
          last
        />
      ) : null}
    </View>
  );
}
