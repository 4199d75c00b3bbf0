import { StyleSheet, View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { bowHeightMm, bowOffsets, CAUL_MODULUS, camberOf, MOST_CAMBER_SHARE, parabolaHeightMm, type Camber } from '@/core/stack'; // prettier-ignore
import { caulUnder } from '@/core/press';
import { distance } from '@/core/geometry';
import { checkBar, PAPERS, type Mark, type Page, type Paper } from '@/core/print';
import { describeSource } from '@/core/sources';
import { Button, Figure, Fold, fonts, materials, Notice, Row, Text, useTheme } from '@/ui';
import { downloadPdf, fileName } from '@/instruments';
import { useAct } from '../shared/useAct';
import { useUnits } from '../shared/useUnits';
import { attempt } from '@/core/check';
import { type PressPlan } from '@/core/job';

/** What is planed on one side of a caul, and what draws it down. */
type Bow = {
  lengthMm: number;
  midCamberMm: number;
  endForceN: number;
  height: (x: number) => number;
  offsets: Camber['offsets'];
};

/** The bow that the caul is placed with, or the one that end clamps on a straight one would ask for. */
function bowOf({ placed, targetKPa, platenMm }: PressPlan): Bow | undefined {
  const [caul] = placed.cauls;
  if (!caul) return undefined;
  const lengthMm = distance(caul.from, caul.to);
  if (caul.camberMm > LEAST_BOW_MM) {
    const height = (x: number): number => parabolaHeightMm(caul.camberMm, lengthMm, x);
    const on = placed.clamps.filter((c) => caulUnder(placed.cauls, c.at) === 0);
    return {
      lengthMm,
      midCamberMm: caul.camberMm,
      endForceN: Math.max(0, ...on.map((c) => c.forceN)),
      height,
      offsets: bowOffsets(lengthMm, height),
    };
  }
  const input = {
    lengthMm,
    widthMm: caul.widthMm,
    heightMm: caul.heightMm,
    modulusMPa: CAUL_MODULUS.value,
    pressureKPa: targetKPa,
    pressedWidthMm: caul.widthMm + 2 * platenMm,
  };
  return { lengthMm, ...camberOf(input), height: (x) => bowHeightMm(input, x) };
}

/** Less is not planed. */
const LEAST_BOW_MM = 0.05;

/** The bow at full size over as many sheets as it takes, each with a bar to check the print by. */
function template({ lengthMm, height, offsets }: Bow, paper: Paper, title: string): Page[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const part = 250;
  const count = Math.ceil(lengthMm / part);
  return Array.from({ length: count }, (_, i): Page => {
    // Laid along the long side of the sheet.
    const [from, to] = [i * part, Math.min(lengthMm, (i + 1) * part)];
    const [left, base] = [20, 90];
    const marks: Mark[] = [
      { kind: 'text', at: [left, 18], text: title, sizeMm: 5, bold: true },
      { kind: 'text', at: [left, 25], text: `Sheet ${i + 1} of ${count}: ${Math.round(from)} to ${Math.round(to)} mm from the left end. Plane down to the curve; the bow goes against the platen.`, sizeMm: 3 },
      { kind: 'line', from: [left, base], to: [left + to - from, base], widthMm: 0.2, dashed: true },
      ...checkBar([left, heightMm > widthMm ? 150 : 130]),
    ]; // prettier-ignore
    for (let x = from; x < to; x += 5) {
      const end = Math.min(to, x + 5);
      marks.push({
        kind: 'line',
        from: [left + x - from, base - height(x)],
        to: [left + end - from, base - height(end)],
        widthMm: 0.35,
      });
    }
    offsets
      .filter((o) => o.xMm >= from && o.xMm <= to)
      .forEach((o) => {
        const x = left + o.xMm - from;
        marks.push({ kind: 'line', from: [x, base], to: [x, base - o.mm], widthMm: 0.15 });
        marks.push({ kind: 'text', at: [x - 5, base + 5], text: `${o.mm.toFixed(2)}`, sizeMm: 2.8 });
        marks.push({
          kind: 'text',
          at: [x - 5, base + 9],
          text: `at ${Math.round(o.xMm)}`,
          sizeMm: 2.4,
          grey: 0.35,
        });
      });
    return { widthMm: heightMm, heightMm: widthMm, marks };
  });
}

/** How much bow the caul needs so that clamps at its ends alone press evenly. */
export function CamberFold({ plan, name, paper }: { plan: PressPlan; name: string; paper: Paper }) {
  const theme = useTheme();
  const act = useAct();
  const { length } = useUnits();
  const [caul] = plan.placed.cauls;
  if (!caul) return null;
  const result = attempt(() => bowOf(plan));
  if (!result.ok) {
    return (
      <Fold title="Bow of the caul">
        <Notice kind="rest">{result.problem}</Notice>
      </Fold>
    );
  }
  const camber = result.value;
  if (!camber) return null;
  const { lengthMm } = camber;
  const planned = caul.camberMm > LEAST_BOW_MM;
  const slender = camber.midCamberMm > lengthMm * MOST_CAMBER_SHARE;
  const print = (): void =>
    act(() =>
      downloadPdf(
        `Caul for ${name}`,
        template(camber, paper, `Caul for ${name}, ${Math.round(lengthMm)} mm`),
        `${fileName(name)}-caul.pdf`,
      ),
    );
  const scale = 46 / Math.max(0.1, camber.midCamberMm);
  const path = Array.from({ length: 41 }, (_, i) => {
    const x = (i / 40) * lengthMm;
    return `${i === 0 ? 'M' : 'L'}${10 + (300 * x) / lengthMm} ${60 - scale * camber.height(x)}`;
  }).join('');
  return (
    <Fold title="Bow of the caul">
      <Text kind="quiet">
        {planned
          ? 'The arranged layout takes this bow, against the platen. Plane it before the glue is out.'
          : 'Planed to this curve, the caul lies flat and presses evenly when clamps at its two ends alone draw it down.'}
      </Text>
      <View style={styles.figures}>
        <Figure
          label="In the middle"
          value={length(camber.midCamberMm)}
          source={
            planned
              ? 'Worked out here: the bow that evens the pressure under this layout, as a parabola.'
              : 'Simply supported beam under a uniform load, any table of beams: 5 w L⁴ / 384 E I.'
          }
        />
        <Figure
          label="Each end clamp"
          value={(camber.endForceN / 1000).toFixed(1)}
          unit="kN"
          source={describeSource(CAUL_MODULUS.source)}
        />
      </View>
      <View
        role="img"
        aria-label={`The bow, ${length(camber.midCamberMm)} in the middle of ${length(lengthMm)}, drawn much enlarged in height`}
      >
        <Svg width="100%" height={84} viewBox="0 0 320 84">
          <Path d={`${path}L310 60L10 60Z`} fill={materials.caul} />
          <Line x1={10} x2={310} y1={60} y2={60} stroke={theme.ink} strokeDasharray="4 3" />
          <SvgText x={160} y={78} fontSize={12} fontFamily={fonts.text} fill={theme.ink} textAnchor="middle">
            {`${length(lengthMm)}, height enlarged`}
          </SvgText>
        </Svg>
      </View>
      {slender ? (
        <Notice kind="stop" title="This caul is too slender">
          {`A bow of ${length(camber.midCamberMm)} on ${length(lengthMm)} is more than can be drawn flat without harm. Take a higher caul, or clamps along it.`}
        </Notice>
      ) : null}
      <View>
        {camber.offsets.map((o, i) => (
          <Row
            key={o.xMm}
            title={`At ${length(o.xMm)}`}
            value={length(o.mm)}
            last={i === camber.offsets.length - 1}
          />
        ))}
      </View>
      <Button label="Print the curve at full size (PDF)" onPress={print} />
    </Fold>
  );
}

const styles = StyleSheet.create({ figures: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 } });
