import { Image, StyleSheet, View } from 'react-native';
import { hexFromLab, type Lab } from '@/core/colour';
import { Text, useTheme } from '@/ui';
import { usePictureUrl } from './useWorkshop';

/** A small photo: of a veneer, or of a place before and after. */
export function PhotoSwatch({
  pictureId,
  name,
  size = 72,
}: {
  pictureId: string | undefined;
  name: string;
  size?: number;
}) {
  const theme = useTheme();
  const url = usePictureUrl(pictureId);
  return url ? (
    <Image
      source={{ uri: url }}
      accessibilityLabel={`Photo of ${name}`}
      style={{ width: size, height: size, borderRadius: 2 }}
    />
  ) : (
    <View
      style={{
        width: size,
        height: size,
        borderRadius: 2,
        borderWidth: 1.5,
        borderStyle: 'dashed',
        borderColor: theme.control,
      }}
    />
  );
}

/** A colour as a square, for a line of a list. */
export function Swatch({ lab, name, size = 44 }: { lab: Lab; name: string; size?: number }) {
  return (
    <View
      role="img"
      aria-label={`Colour of ${name}`}
      style={{ width: size, height: size, borderRadius: 2, backgroundColor: hexFromLab(lab) }}
    />
  );
}

/** A colour with its name under it. */
export function Tone({ lab, label, wide = false }: { lab: Lab; label: string; wide?: boolean }) {
  return (
    <View style={[styles.tone, wide && styles.wide]}>
      <View
        role="img"
        aria-label={`${label}: L* ${Math.round(lab[0])}, a* ${Math.round(lab[1])}, b* ${Math.round(lab[2])}`}
        style={[styles.field, { backgroundColor: hexFromLab(lab) }]}
      />
      <Text kind="label">{label}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  tone: { flexGrow: 1, flexBasis: 74, gap: 4 },
  wide: { flexBasis: 120 },
  field: { height: 52, borderRadius: 2 },
});
