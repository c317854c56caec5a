/** Under which a plot is asked for, and kept. */
export const plotKey = (surveyId: string, plotId: string) => ['surveys', surveyId, 'plots', plotId] as const
