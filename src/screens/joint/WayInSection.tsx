import { View } from 'react-native';
import { adhesiveById, type Adhesive } from '@/core/adhesive';
import {
  drawnInMm,
  LEAST_GAP_MM,
  WAY_IN,
  wayIn,
  WICKING_SOURCE,
  WICKS_UP_TO_MM,
  wickSeconds,
} from '@/core/glueup';
import { describeSource } from '@/core/sources';
import { formatMinutes } from '@/core/units';
import { Figure, Section, Text } from '@/ui';
import { useUnits } from '../shared/useUnits';

const MOST_DEPTH_MM = 999;

/** How the glue gets into a split: drawn in by itself, from a needle, or worked in with a blade. */
export function WayInSection({
  glue,
  gapMm,
  lengthMm,
  depthMm,
  openMin,
}: {
  glue: Adhesive;
  gapMm: number;
  lengthMm: number;
  depthMm: number;
  /** Not known where it is too cold. */
  openMin?: number;
}) {
  const { length } = useUnits();
  const narrow = gapMm <= WICKS_UP_TO_MM;
  const drawnMm = openMin === undefined ? 0 : drawnInMm(gapMm, glue.viscosityMPas?.value, openMin);
  const way = wayIn(lengthMm, drawnMm >= depthMm);
  const thin = adhesiveById('cyanoacrylate');
  // Only a hairline draws glue in.
  const thinSeconds = narrow
    ? wickSeconds(Math.max(LEAST_GAP_MM, gapMm), thin.viscosityMPas?.value ?? 1, depthMm)
    : 0;
  return (
    <Section title="Getting the glue in" help={describeSource(WAY_IN.source)}>
      {narrow ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
          <Figure
            label="Draws itself in"
            value={drawnMm >= MOST_DEPTH_MM ? 'all of it' : length(drawnMm)}
            note={`while it is open; the split is ${length(depthMm)} deep`}
            alarm={drawnMm < depthMm}
            source={describeSource(WICKING_SOURCE)}
          />
          {glue.id === thin.id ? null : (
            <Figure
              label="Thin cyanoacrylate"
              value={formatMinutes(thinSeconds / 60)}
              note="to the bottom; it cannot be undone"
              source={describeSource(WICKING_SOURCE)}
            />
          )}
        </View>
      ) : null}
      <Text>
        {way.by === 'wicking'
          ? `At ${length(gapMm)} it is a hairline: set drops along it and let it draw them in. Go on until it takes no more.`
          : way.by === 'needles'
            ? `Over ${length(lengthMm)} a brush does not reach: inject from ${way.needles} places about ${length(WAY_IN.needleEveryMm)} apart, from the far end back, until glue shows at the next.`
            : 'Work glue in with a thin blade or a slip of paper, flexing the split open and shut.'}
      </Text>
      <Text kind="quiet">Close it by hand first. The clamp only holds what the hand has closed.</Text>
    </Section>
  );
}
