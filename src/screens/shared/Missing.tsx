import { useTrouble } from '@/records/changes';
import { Text } from '@/ui';
import { Page } from './Page';

/** Stands in while records load, for a link to something that is no longer there, and while the store cannot be read. */
export function Missing({ what, loading }: { what: string; loading: boolean }) {
  const trouble = useTrouble();
  const title = trouble ? 'Cannot be read now' : loading ? 'Opening' : 'Not here';
  return (
    <Page title={title} back={{ href: '/', label: 'Pieces' }}>
      <Text>
        {trouble
          ? `${what} cannot be shown while the browser’s store does not answer. Nothing was deleted.`
          : loading
            ? 'One moment.'
            : `${what} is not in this browser. It may have been deleted, or belong to another device.`}
      </Text>
    </Page>
  );
}
