export type DamageKind = 'liftedEdge' | 'missingVeneer';

export const DAMAGE_KINDS: Record<DamageKind, { label: string; look: string }> = {
  liftedEdge: {
    label: 'Lifted edge',
    look: 'The veneer has come loose at an edge, but all of it is still there. It sounds hollow under a fingernail and can be lifted with a thin knife.',
  },
  missingVeneer: {
    label: 'Missing veneer',
    look: 'A chip or an area of veneer is gone and the core shows.',
  },
};

/** What can be seen or measured of one damage. What is not known stays out. */
export type DamageFacts = {
  kind: DamageKind;
  areaMm2?: number;
  alongMm?: number;
  acrossMm?: number;
  atEdge?: boolean;
  openingMm?: number;
  woodAllPresent?: boolean;
  oldGlue?: 'hide' | 'other';
  glueLine?: 'clean' | 'powdery' | 'waxy';
  brittle?: boolean;
  coreSound?: boolean;
  donor?: boolean;
  edgeBanding?: boolean;
  /** Damaged share of the whole face, this and all others of its kind, 0…1. */
  faceShare?: number;
};
