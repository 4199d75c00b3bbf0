import { createRecord, localNow, newPiece } from '@/records';

/** Puts a new piece into the shop; gives its name in the store. */
export async function addPiece(number: number): Promise<string> {
  const { id } = await createRecord('piece', newPiece(`Piece ${number}`, localNow()));
  return id;
}
