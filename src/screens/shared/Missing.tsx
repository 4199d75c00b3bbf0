import { Text } from '@/ui';
import { Page } from './Page';

/** Stands in while records load, and for a link to something that is no longer there. */
export function Missing({ what, loading }: { what: string; loading: boolean }) {
  return (
    <Page title={loading ? 'Opening' : 'Not here'} back={{ href: '/', label: 'Pieces' }}>
      <Text>
        {loading
          ? 'One moment.'
          : `${what} is not in this browser. It may have been deleted, or belong to another device.`}
      </Text>
    </Page>
  );
}
