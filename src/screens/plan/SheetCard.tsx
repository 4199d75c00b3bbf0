import { useState } from 'react';
import { View } from 'react-native';
import { boardOf, viewOf, type Plan } from '@/core/job';
import { jobSheet } from '@/core/papers';
import { toHtml, type Page as Sheet } from '@/core/print';
import { fileName, printHtml } from '@/instruments';
import { localNow } from '@/records';
import { Button, LitCard, Progress, Text } from '@/ui';
import { rectifyFace } from '@/worker';
import { useAct } from '../shared/useAct';
import { useDeadline } from '../shared/useBench';
import { usePdf } from '../shared/usePdf';
import type { PieceView } from '../shared/usePiece';
import { useUnits } from '../shared/useUnits';

async function facesOf(view: PieceView): Promise<Map<string, Uint8Array>> {
  const faces = new Map<string, Uint8Array>();
  for (const face of view.faces) {
    const board = boardOf(face.body);
    const pictureId = face.body.picture?.id;
    if (!board.ok || !pictureId) continue;
    // A photo that cannot be opened is left out; the drawing of the face stands without it.
    const blob = await rectifyFace(viewOf(board.value, pictureId)).catch(() => undefined);
    if (blob) faces.set(face.id, new Uint8Array(await blob.arrayBuffer()));
  }
  return faces;
}

/** The job sheet to hang over the bench. */
export function SheetCard({ plan, view }: { plan: Plan; view: PieceView }) {
  const act = useAct();
  const pdf = usePdf();
  const { length } = useUnits();
  const [busy, setBusy] = useState(false);
  const { piece, faces, damages, shop } = view;
  const deadline = useDeadline(piece?.id ?? '');
  if (!piece) return null;
  const title = `Job sheet: ${piece.body.name}`;
  const make = (give: (pages: Sheet[]) => Promise<void> | void): void =>
    act(async () => {
      setBusy(true);
      try {
        const ready = deadline ? { ready: deadline.ready } : {};
        const of = { piece, faces, damages, plan, shop, ...ready };
        await give(jobSheet(of, { faces: await facesOf(view) }, shop.paper, length, localNow().slice(0, 10)));
      } finally {
        setBusy(false);
      }
    });
  return (
    <LitCard eyebrow="For the wall over the bench" title="Job sheet">
      <Text>
        Every step with a box to tick, its figures, amounts and cautions, and the faces with their marks.
      </Text>
      {busy ? (
        <Progress label="Drawing the faces square on" fraction={0.5} />
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
