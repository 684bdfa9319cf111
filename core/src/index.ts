export * from './keeping/index.ts';
export * from './length/index.ts';
export * from './gift/index.ts';
export * from './print/index.ts';
export * from './paper/index.ts';
export * from './tools/index.ts';
export * from './piece/index.ts';
export * from './gaps/index.ts';
export * from './marks/index.ts';
export {
  assemblySchema,
  checkFolding,
  closedFaces,
  creasePattern,
  cross,
  direction,
  dot,
  foldingBox,
  measureGap,
  sceneAt,
  vector,
  type Assembly,
  type FoldFault,
  type FoldingBox,
  type PlacedFace,
  type Scene,
  type Vector,
} from './fold/index.ts';
export * from './styles/index.ts';
export * from './make/index.ts';
export * from './additions/index.ts';
export * from './words/index.ts';
export * from './export/index.ts';
export * from './request/index.ts';
export * from './plan.ts';
export * from './compare/index.ts';
export * from './ways-out/index.ts';
export * from './trial/index.ts';
export * from './rescue/index.ts';
