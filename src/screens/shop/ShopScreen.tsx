import { View } from 'react-native';
import { CAMI_GRITS, GRITS } from '@/core/sanding';
import { describeSource } from '@/core/sources';
import { fromCelsius, toCelsius } from '@/core/units';
import { equilibriumMoisture, SPECIES } from '@/core/wood';
import { changeShop, useShop, type Shop } from '@/records';
import { Button, Chips, Figure, Fold, Notice, Row, Section, Stepper, Text } from '@/ui';
import { Page, Pane } from '../shared/Page';
import { useClimate } from '@/instruments';
import { AsideNotice } from '../shared/AsideNotice';
import { LinkRow } from '../shared/LinkRow';
import { useAct } from '../shared/useAct';
import { CoatsFold } from './CoatsFold';
import { GluesFold } from './GluesFold';
import { PrinterField } from './PrinterField';
import { MaterialsSection } from './MaterialsSection';
import { BoardsSection, ClampsSection, PaceFields } from './PressKit';
import { attempt } from '@/core/check';

/** The shop: climate, clamps, hours, units, and all data in one file. */
export function ShopScreen() {
  const { shop, record } = useShop();
  const act = useAct();
  const set = (patch: Partial<Shop>): Promise<void> => act(() => changeShop(record, patch));
  const hour = (clock: string): number => Number(clock.slice(0, 2)) + Number(clock.slice(3, 5)) / 60;
  const clock = (hours: number): string =>
    `${String(Math.floor(hours)).padStart(2, '0')}:${String(Math.round((hours % 1) * 60)).padStart(2, '0')}`;
  const { from, to } = shop.workingHours;
  return (
    <Page
      title="Shop"
      eyebrow="What you have, and how you work"
      board={
        <Pane>
          <AsideNotice kinds={['shop']} />
          <ClimateSection shop={shop} set={set} />
          <ClampsSection shop={shop} set={set} />
          <MaterialsSection shop={shop} onChange={set} />
        </Pane>
      }
    >
      <BoardsSection shop={shop} set={set} />
      <Section title="Hours and hands">
        <Stepper
          label="Work begins"
          unit="o'clock"
          value={hour(from)}
          least={0}
          most={hour(to) - 0.5}
          step={0.5}
          decimals={1}
          onChange={(h) => set({ workingHours: { from: clock(h), to } })}
        />
        <Stepper
          label="Work ends"
          unit="o'clock"
          value={hour(to)}
          least={hour(from) + 0.5}
          most={24}
          step={0.5}
          decimals={1}
          onChange={(h) => set({ workingHours: { from, to: clock(h) } })}
        />
        <Stepper
          label="People at the bench"
          value={shop.hands}
          least={1}
          most={20}
          onChange={(hands) => set({ hands })}
        />
        <PaceFields shop={shop} set={set} />
      </Section>
      <Section title="Units and looks">
        <Chips
          label="Lengths"
          options={[
            { value: 'mm', label: 'Millimetres' },
            { value: 'in', label: 'Inches, fractions' },
          ]}
          value={shop.lengthUnit}
          onChange={(lengthUnit) => set({ lengthUnit })}
        />
        <Chips
          label="Temperature"
          options={[
            { value: 'C', label: '°C' },
            { value: 'F', label: '°F' },
          ]}
          value={shop.temperatureUnit}
          onChange={(temperatureUnit) => set({ temperatureUnit })}
        />
        <Chips
          label="Paper"
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
          value={shop.paper}
          onChange={(paper) => set({ paper })}
        />
        <PrinterField scale={shop.printerScale ?? 1} onChange={(printerScale) => set({ printerScale })} />
        <Chips
          label="Light"
          options={[
            { value: 'system', label: 'As the device' },
            { value: 'daylight', label: 'Daylight' },
            { value: 'lamplight', label: 'Lamplight' },
          ]}
          value={shop.theme}
          onChange={(theme) => set({ theme })}
        />
      </Section>
      <DataSection />
      <Tables shop={shop} onChange={set} />
    </Page>
  );
}

function ClimateSection({ shop, set }: { shop: Shop; set: (patch: Partial<Shop>) => void }) {
  const { climate, missing } = useClimate();
  const moisture = attempt(() => equilibriumMoisture(shop.temperatureC, shop.relativeHumidity));
  const shown = fromCelsius(shop.temperatureC, shop.temperatureUnit);
  return (
    <Section title="Climate" help="Glue times and the moisture of wood follow it.">
      <Stepper
        label="Temperature in the shop"
        unit={shop.temperatureUnit === 'C' ? '°C' : '°F'}
        value={Math.round(shown)}
        least={Math.round(fromCelsius(-10, shop.temperatureUnit))}
        most={Math.round(fromCelsius(45, shop.temperatureUnit))}
        onChange={(t) => set({ temperatureC: toCelsius(t, shop.temperatureUnit), climateFrom: 'typed' })}
      />
      <Stepper
        label="Relative humidity"
        unit="%"
        value={Math.round(shop.relativeHumidity * 100)}
        least={0}
        most={98}
        step={5}
        onChange={(h) => set({ relativeHumidity: h / 100, climateFrom: 'typed' })}
      />
      {moisture.ok ? (
        <Figure
          label="Wood settles at a moisture of"
          value={(moisture.value * 100).toFixed(1)}
          unit="%"
          source="Published: Wood Handbook (Forest Products Laboratory, 2021), eq. 4-5."
        />
      ) : (
        <Notice kind="stop">{moisture.problem}</Notice>
      )}
      {climate ? (
        <View style={{ gap: 8 }}>
          <Text kind="quiet">{`The thermo-hygrometer reads ${Math.round(fromCelsius(climate.temperatureC, shop.temperatureUnit))} °${shop.temperatureUnit} and ${Math.round(climate.relativeHumidity * 100)} %${climate.simulated ? ' (simulated)' : ''}.`}</Text>
          <Button
            label="Take this reading"
            onPress={() =>
              set({
                temperatureC: climate.temperatureC,
                relativeHumidity: climate.relativeHumidity,
                climateFrom: 'instrument',
              })
            }
          />
        </View>
      ) : (
        <Text kind="quiet">
          {missing
            ? 'No thermo-hygrometer answers. Type what yours shows; everything else works without it.'
            : 'Looking for a thermo-hygrometer.'}
        </Text>
      )}
    </Section>
  );
}

function DataSection() {
  return (
    <Section
      title="Your data"
      help="It lives in this browser. Save it to a file, read it in on another device."
    >
      <LinkRow
        href="/data"
        title="Save, read in, and make room"
        detail="Backups, other devices, what takes room"
      />
    </Section>
  );
}

/** Every table the app reckons with, with its sources. */
function Tables({ shop, onChange }: { shop: Shop; onChange: (patch: Partial<Shop>) => void }) {
  return (
    <Section title="Figures and where they come from">
      <GluesFold shop={shop} onChange={onChange} />
      <CoatsFold shop={shop} onChange={onChange} />
      <Fold title="Woods">
        {SPECIES.map((s) => (
          <Row
            key={s.id}
            title={s.name}
            detail="Specific gravity"
            value={s.specificGravity.value.toFixed(2)}
            source={describeSource(s.specificGravity.source)}
          />
        ))}
      </Fold>
      <Fold title="Papers: P grades (ISO 6344) and CAMI">
        <Text kind="quiet">
          Numbers in this app are P grades. The finer the paper, the further the two scales part.
        </Text>
        {GRITS.map((g) => (
          <Row
            key={g.p}
            title={`P${g.p}`}
            detail="Median grain"
            value={`${g.medianUm.value} µm`}
            source={describeSource(g.medianUm.source)}
          />
        ))}
        {CAMI_GRITS.map((g) => (
          <Row
            key={`cami ${g.number}`}
            title={`CAMI ${g.number}`}
            detail="Median grain"
            value={`${g.medianUm.value} µm`}
            source={describeSource(g.medianUm.source)}
          />
        ))}
      </Fold>
      <Fold title="Licences">
        <Text kind="quiet">
          Headings are set in Zilla Slab, text and figures in Atkinson Hyperlegible, both under the SIL Open
          Font License.
        </Text>
      </Fold>
    </Section>
  );
}
