import { useEffect } from 'react'

export const PAPERS = ['A4', 'A5'] as const

export type Paper = (typeof PAPERS)[number]

/** Sets what is printed of a page: how large the paper is, and at the edge of each page what it is of and its number. */
export function usePaper(head: string, paper: Paper = 'A4'): void {
  useEffect(() => {
    const style = new CSSStyleSheet()
    // what is at the edge is made smaller with the page
    const words = JSON.stringify(head.replace(/[\\"\n]/g, ' '))
    style.replaceSync(`@page {
      size: ${paper};
      margin: ${paper === 'A4' ? '12mm' : '10mm 8mm'};
      @top-left { content: ${words}; font: 13pt sans-serif; color: #333; }
      @bottom-right { content: counter(page) " of " counter(pages); font: 13pt sans-serif; color: #333; }
    }`)
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, style]
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== style)
    }
  }, [head, paper])
}
