export { IMAGE_TYPES, isPdf, readImage, type ImageRead } from "./image";
