/** The faces there are, by name; kept apart from their strokes, which are large. */
export const faceIds = ['print', 'hand-print', 'plain', 'school', 'flowing'] as const
export type FaceId = (typeof faceIds)[number]
