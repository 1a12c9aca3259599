export const lensLines = (lens: { lineId: string } | undefined) => (lens ? [lens.lineId] : []);
