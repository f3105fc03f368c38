declare module 'harfbuzzjs/hb.js' {
  const factory: (given: { wasmBinary: Uint8Array }) => Promise<object>;
  export default factory;
}
declare module 'harfbuzzjs/hbjs.js' {
  interface HbGlyph {
    g: number;
    cl: number;
    dx: number;
    dy: number;
    ax: number;
  }
  interface HbFont {
    glyphToPath: (glyph: number) => string;
    glyphExtents: (glyph: number) => { yBearing: number } | null;
  }
  interface HbFace {
    upem: number;
    collectUnicodes: () => Uint32Array;
  }
  interface HbBuffer {
    addText: (text: string, from?: number, length?: number | null) => void;
    guessSegmentProperties: () => void;
    setDirection: (direction: 'ltr' | 'rtl') => void;
    json: () => HbGlyph[];
    destroy: () => void;
  }
  interface Hb {
    createBlob: (bytes: Uint8Array) => object;
    createFace: (blob: object, index: number) => HbFace;
    createFont: (face: HbFace) => HbFont;
    createBuffer: () => HbBuffer;
    shape: (font: HbFont, buffer: HbBuffer) => void;
  }
  const hbjs: (module: object) => Hb;
  export default hbjs;
}
declare module 'bidi-js' {
  interface Levels {
    levels: Uint8Array;
    paragraphs: { start: number; end: number; level: number }[];
  }
  interface Bidi {
    getEmbeddingLevels: (text: string, direction?: 'ltr' | 'rtl') => Levels;
    getReorderSegments: (text: string, levels: Levels, start?: number, end?: number) => [number, number][];
  }
  const factory: () => Bidi;
  export default factory;
}
