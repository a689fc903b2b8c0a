export { letterFaces, missingLetters, readFont, type Font, type LetterFace } from './letters';
