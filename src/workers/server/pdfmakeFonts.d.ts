declare module 'pdfmake/fonts/Roboto.js' {
  const fonts: Record<'Roboto', { normal: string; bold: string; italics: string; bolditalics: string }>;
  export default fonts;
}
