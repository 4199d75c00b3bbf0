import { StyleSheet, View } from 'react-native';
import type { Air } from '@/core/wood';
import type { HomeClimate } from '@/records';
import { Button, Stepper, Text } from '@/ui';

/** A heated house in a temperate climate, until the owner's own is known. */
export const COMMON_HOME: HomeClimate = {
  dry: { temperatureC: 21, relativeHumidity: 0.32 },
  damp: { temperatureC: 22, relativeHumidity: 0.62 },
};

/** Temperature and humidity of a month; taken from the shop's own instrument where there is one. */
export function AirFields({
  title,
  air,
  reading,
  onChange,
}: {
  title: string;
  air: Air;
  reading?: Air;
  onChange: (air: Air) => void;
}) {
  return (
    <View style={styles.air}>
      <Text kind="strong">{title}</Text>
      <Stepper
        label={`${title}: temperature`}
        value={air.temperatureC}
        onChange={(temperatureC) => onChange({ ...air, temperatureC })}
        least={-10}
        most={45}
        unit="°C"
      />
      <Stepper
        label={`${title}: humidity`}
        value={Math.round(air.relativeHumidity * 100)}
        onChange={(v) => onChange({ ...air, relativeHumidity: v / 100 })}
        least={0}
        most={98}
        unit="%"
      />
      {reading ? (
        <Button
          label={`Take the thermo-hygrometer’s ${reading.temperatureC} °C and ${Math.round(100 * reading.relativeHumidity)} %`}
          name={`${title}: take the thermo-hygrometer’s reading`}
          onPress={() =>
            onChange({ temperatureC: reading.temperatureC, relativeHumidity: reading.relativeHumidity })
          }
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ air: { gap: 8 } });
