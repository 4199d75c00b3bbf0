import { View } from 'react-native';
import { attempt } from '@/core/check';
import type { SumStarts } from '@/core/job';
import { DRAWER_SOURCE, drawerPlan } from '@/core/letin';
import { describeSource } from '@/core/sources';
import { upperFirst } from '@/core/terms';
import { Beside, Notice, Row, Section, Text } from '@/ui';
import { useKeptLength } from '../shared/kept';
import { DrawerDrawing } from './fitDrawings';
import { useUnits } from '../shared/useUnits';

/** Where a drawer binds, what is planed off there, and the strips that make good its wear. */
export function DrawerSection({ starts }: { starts: SumStarts }) {
  const { length } = useUnits();
  const { wideMm, highMm, lengthMm, playMm, sideMm: startHigh } = starts.drawer;
  const [ow0, ow0Field] = useKeptLength('drawer.owfront', wideMm);
  const [ow1, ow1Field] = useKeptLength('drawer.owback', wideMm);
  const [dw0, dw0Field] = useKeptLength('drawer.dwfront', wideMm - playMm);
  const [dw1, dw1Field] = useKeptLength('drawer.dwback', wideMm - playMm);
  const [oh0, oh0Field] = useKeptLength('drawer.ohfront', highMm);
  const [oh1, oh1Field] = useKeptLength('drawer.ohback', highMm);
  const [dh0, dh0Field] = useKeptLength('drawer.dhfront', startHigh);
  const [dh1, dh1Field] = useKeptLength('drawer.dhback', startHigh);
  const [w0, w0Field] = useKeptLength('drawer.wornfront', 0);
  const [w1, w1Field] = useKeptLength('drawer.wornback', 0);
  const [long, longField] = useKeptLength('drawer.long', lengthMm);
  const [grows, growsField] = useKeptLength('drawer.grows', starts.drawer.growsMm);
  const result = attempt(() =>
    drawerPlan({
      openingWideMm: [ow0, ow1],
      openingHighMm: [oh0, oh1],
      drawerWideMm: [dw0, dw1],
      drawerHighMm: [dh0, dh1],
      wornMm: [w0, w1],
      lengthMm: long,
      growsMm: grows,
    }),
  );
  return (
    <Section title="The drawer in its opening" help={describeSource(DRAWER_SOURCE)}>
      <Beside>
        {ow0Field('Opening, wide at the front', 20, 3000)}
        {ow1Field('Opening, wide at the back', 20, 3000)}
        {dw0Field('Drawer, wide at the front', 20, 3000)}
        {dw1Field('Drawer, wide at the back', 20, 3000)}
        {oh0Field('Opening, high at the front', 10, 1500)}
        {oh1Field('Opening, high at the back', 10, 1500)}
        {dh0Field('Drawer, high at the front', 10, 1500)}
        {dh1Field('Drawer, high at the back', 10, 1500)}
        {w0Field('Worn below, at the front', 0, 50)}
        {w1Field('Worn below, at the back', 0, 50)}
        {longField('Length of its side', 20, 2000)}
        {growsField('Higher in the damp season by', 0, 50)}
      </Beside>
      {result.ok ? (
        <>
          <Text kind="strong">{result.value.words}</Text>
          <DrawerDrawing plan={result.value} wideMm={[dw0, dw1]} />
          <View>
            {Object.entries(result.value.playMm).map(([place, mm], i) => {
              const off = Object.entries(result.value.planeMm).find(([p]) => p === place)?.[1];
              return (
                <Row
                  key={place}
                  title={upperFirst(place)}
                  detail={off === undefined ? 'Free' : `Plane ${length(off)} off, no more`}
                  value={mm < 0 ? `−${length(-mm)}` : length(mm)}
                  last={i === 3}
                />
              );
            })}
          </View>
          {result.value.strip ? (
            <Text>
              {`Plane the worn edge straight and glue a strip of hard wood under it, grain along: ${length(result.value.strip.lengthMm)} long, ${length(result.value.strip.frontMm)} high at the front and ${length(result.value.strip.backMm)} at the back; two of them, one for each side.`}
            </Text>
          ) : null}
        </>
      ) : (
        <Notice kind="stop">{result.problem}</Notice>
      )}
    </Section>
  );
}
