import { createContext, useContext } from 'react';

export type Palette = {
  name: 'daylight' | 'lamplight';
  ground: string;
  board: string;
  ink: string;
  quiet: string;
  /** Hairlines between rows. */
  line: string;
  /** Outlines of controls: at least 3:1 on ground and board. */
  control: string;
  /** Fill of controls that are chosen, and the text on them. */
  chosen: string;
  onChosen: string;
  lampFill: string;
  lampEdge: string;
  lampText: string;
  verdigris: string;
  verdigrisFill: string;
  oxblood: string;
  oxbloodFill: string;
  /** The bar of places and the text on it, in both themes. */
  bar: string;
  onBar: string;
  onBarQuiet: string;
  onBarLit: string;
};

export const daylight: Palette = {
  name: 'daylight',
  ground: '#F6F1E6',
  board: '#FBF7EE',
  ink: '#1C231F',
  quiet: '#5A625B',
  line: '#DDD3BF',
  control: '#857D6C',
  chosen: '#1C231F',
  onChosen: '#FBF7EE',
  lampFill: '#FFE3AE',
  lampEdge: '#E08A00',
  lampText: '#8A4B00',
  verdigris: '#2E6A63',
  verdigrisFill: '#DCE9E4',
  oxblood: '#9C2F27',
  oxbloodFill: '#F6DEDA',
  bar: '#1C231F',
  onBar: '#F6F1E6',
  onBarQuiet: '#B9BFB5',
  onBarLit: '#FFC25A',
};

export const lamplight: Palette = {
  name: 'lamplight',
  ground: '#151A17',
  board: '#1E2521',
  ink: '#F2EADB',
  quiet: '#A9B0A6',
  line: '#343C36',
  control: '#7F877D',
  chosen: '#F2EADB',
  onChosen: '#151A17',
  lampFill: '#3A2C12',
  lampEdge: '#FFC25A',
  lampText: '#FFC25A',
  verdigris: '#7DBDB3',
  verdigrisFill: '#1F332F',
  oxblood: '#FF9C8F',
  oxbloodFill: '#3B211E',
  bar: '#0C100E',
  onBar: '#F2EADB',
  onBarQuiet: '#A9B0A6',
  onBarLit: '#FFC25A',
};

/** Colours of drawn things: woods, steel, paper. The same in both themes, as things keep their colour. */
export const materials = {
  veneer: '#8A5230',
  core: '#D9BC8C',
  coreDark: '#B89662',
  platen: '#C9C3B4',
  caul: '#B0854F',
  steel: '#2A302C',
  bench: '#8F7E63',
  glue: '#E8B93C',
  paper: '#FFFFFF',
  stain: '#3A2A20',
  weak: '#B9D3CC',
  crush: '#9C2F27',
  lit: '#FFF3D6',
  shade: '#1A0F07',
  badge: '#1C231F',
  onBadge: '#FFE3AE',
  lamp: '#E08A00',
} as const;

export const fonts = { slab: 'Slab', text: 'Text', bold: 'TextBold', mono: 'Mono' } as const;

/** Four-pixel grid. */
export const space = (n: number): number => n * 4;

/** One pair of corners round, the other near-square: a planed edge. For the lit card and the main action only. */
export const planed = {
  borderTopLeftRadius: 2,
  borderTopRightRadius: 16,
  borderBottomLeftRadius: 16,
  borderBottomRightRadius: 2,
} as const;

/** From this width on there is room for list, canvas and detail side by side. */
export const WIDE_PX = 1000;

export const ThemeContext = createContext<Palette>(daylight);
export const useTheme = (): Palette => useContext(ThemeContext);
