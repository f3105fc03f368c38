/** Stands for a font's file in unit tests. */
export default 'a font';
