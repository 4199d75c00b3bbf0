import { View } from 'react-native';
import { CHECK_BAR_MM, printerScaleFrom, printerWords, PRINTER_SCALES } from '@/core/print';
import { Button, Stepper, Text } from '@/ui';

/** What the bar on the last print measures: the next sheets are drawn so that it comes out true. */
export function PrinterField({ scale, onChange }: { scale: number; onChange: (scale: number) => void }) {
  return (
    <View style={{ gap: 8 }}>
      <Stepper
        label="The bar on your last print measures"
        help="Each sheet at full size has a bar. Where it does not come out true, say what it measures; the next print makes up for it."
        unit="mm"
        value={CHECK_BAR_MM}
        least={CHECK_BAR_MM * PRINTER_SCALES.least}
        most={CHECK_BAR_MM * PRINTER_SCALES.most}
        step={0.1}
        decimals={1}
        onChange={(mm) => onChange(printerScaleFrom(scale, mm))}
      />
      <Text kind="quiet">{printerWords(scale)}</Text>
      {scale !== 1 ? <Button label="Print without a correction" onPress={() => onChange(1)} /> : null}
    </View>
  );
}
