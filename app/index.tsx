import { PiecesScreen } from '@/screens/pieces/PiecesScreen';
import { Guarded } from '@/screens/shared/Guarded';

export default function Pieces() {
  return (
    <Guarded>
      <PiecesScreen />
    </Guarded>
  );
}
