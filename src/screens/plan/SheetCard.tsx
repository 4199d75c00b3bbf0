import { View } from 'react-native';
import type { Plan } from '@/core/job';
import { jobSheet } from '@/core/papers';
import { toHtml, type Page as Sheet } from '@/core/print';
import { fileName, printHtml } from '@/instruments';
import { localNow } from '@/records';
import { Button, LitCard, Progress, Text } from '@/ui';
import { useDeadline } from '../shared/useBench';
import { useFacePictures } from '../shared/useFacePictures';
import { usePdf } from '../shared/usePdf';
import type { PieceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';

/** The job sheet to hang over the bench. */
export function SheetCard({ plan, view }: { plan: Plan; view: PieceView }) {
  const pdf = usePdf();
  const { length } = useUnits();
  const { progress, withFaces } = useFacePictures(view);
  const { piece, faces, damages, shop } = view;
  const deadline = useDeadline(piece?.id ?? '');
  if (!piece) return null;
  const title = `Job sheet: ${piece.body.name}`;
  const make = (give: (pages: Sheet[]) => Promise<void> | void): void =>
    withFaces((drawn) => {
      const of = { piece, faces, damages, plan, shop, ...(deadline ? { ready: deadline.ready } : {}) };
      return give(jobSheet(of, { faces: drawn }, shop.paper, length, localNow().slice(0, 10)));
    });
  return (
    <LitCard eyebrow="For the wall over the bench" title="Job sheet">
      <Text>
        Every step with a box to tick, its figures, amounts and cautions, and the faces with their marks.
      </Text>
      {progress !== undefined ? (
        <Progress label="Drawing the faces square on" fraction={progress} />
      ) : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <Button
            label="Job sheet as PDF"
            kind="main"
            onPress={() => make((pages) => pdf(title, pages, `${fileName(piece.body.name)}-job.pdf`))}
          />
          <Button label="Print it" onPress={() => make((pages) => printHtml(toHtml(title, pages)))} />
        </View>
      )}
    </LitCard>
  );
}
