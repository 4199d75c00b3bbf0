import { useContext } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { CAUL_MODULUS, MOST_CAMBER_SHARE } from '@/core/stack';
import { caulPages } from '@/core/papers';
import type { Paper } from '@/core/print';
import { describeSource } from '@/core/sources';
import { Button, Figure, Fold, fonts, materials, Notice, Row, Text, UnitsContext, useTheme } from '@/ui';
import { fileName } from '@/instruments';
import { useAct } from '../shared/useAct';
import { usePdf } from '../shared/usePdf';
import { useUnits } from '../shared/useUnits';
import { attempt } from '@/core/check';
import { bowOf, LEAST_BOW_MM, type PressPlan } from '@/core/job';

/** How much bow the caul needs so that clamps at its ends alone press evenly. */
export function CamberFold({ plan, name, paper }: { plan: PressPlan; name: string; paper: Paper }) {
  const theme = useTheme();
  const act = useAct();
  const pdf = usePdf();
  const units = useContext(UnitsContext);
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
  const print = (): Promise<void> =>
    act(() =>
      pdf(
        `Caul for ${name}`,
        caulPages(camber, paper, `Caul for ${name}`, units),
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
