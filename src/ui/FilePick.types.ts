export type FilePickProps = {
  label: string;
  /** Kinds of file, as the browser's own dialog takes them. */
  accept: string;
  onFile: (file: File) => void;
  kind?: 'main' | 'plain';
  /** Opens the camera on a phone instead of the album. */
  camera?: boolean;
};
