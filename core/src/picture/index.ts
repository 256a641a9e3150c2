/** Pictures: a JPEG file with nothing in it but its image. */
export { PICTURE_SIDE, plainJpeg, THUMB_SIDE } from './jpeg.ts';
