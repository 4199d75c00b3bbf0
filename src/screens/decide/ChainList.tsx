import { StyleSheet, View } from 'react-native';
import { methodById, type MethodId } from '@/core/catalogue';
import type { ChainLink, RankedMethod } from '@/core/method';
import { Chips, Text, useTheme } from '@/ui';

/** The methods of a chain in the order of work, why each is there, and what could be taken in its place. */
export function ChainList({
  chain,
  onLink,
}: {
  chain: RankedMethod;
  onLink?: (link: ChainLink, method: MethodId) => void;
}) {
  const theme = useTheme();
  if (chain.links.length === 0) return null;
  const links = [...chain.first, chain.method, ...chain.then];
  return (
    <View style={styles.list} role="list" aria-label="In the order of work">
      {links.map((id, i) => {
        const link = chain.links.find((l) => l.method === id);
        return (
          <View
            key={id}
            role="listitem"
            style={[styles.link, { borderColor: link ? theme.verdigris : theme.lampEdge }]}
          >
            <Text kind="strong">{`${i + 1}. ${methodById(id).label}`}</Text>
            {link ? (
              <Text kind="quiet">{link.reason.text}</Text>
            ) : (
              <Text kind="quiet">The repair itself.</Text>
            )}
            {link && onLink && link.options.length > 1 ? (
              <Chips
                label="Or in its place"
                options={link.options.map((value) => ({ value, label: methodById(value).label }))}
                value={id}
                onChange={(method) => onLink(link, method)}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: 10 },
  link: { borderLeftWidth: 4, paddingLeft: 12, gap: 2 },
});
