/** A drawing on the page as SVG with its colours written out: a PDF knows no styles of the page. */
export function svgForPaper(svg: SVGElement): string {
  const copy = svg.cloneNode(true) as SVGElement
  const originals = svg.querySelectorAll<SVGElement>('*')
  copy.querySelectorAll<SVGElement>('*').forEach((node, n) => {
    const { fill, stroke, fontWeight, textAnchor, strokeDasharray, opacity } = getComputedStyle(originals[n]!)
    if (!node.getAttribute('fill')?.startsWith('url')) node.setAttribute('fill', fill)
    node.setAttribute('stroke', stroke)
    if (node.tagName === 'text')
      Object.entries({ 'font-weight': fontWeight, 'text-anchor': textAnchor, 'fill': '#14191c' }).forEach(
        ([name, value]) => node.setAttribute(name, value),
      )
    if (strokeDasharray !== 'none') node.setAttribute('stroke-dasharray', strokeDasharray.replaceAll('px', ''))
    node.setAttribute('opacity', opacity)
    node.removeAttribute('class')
  })
  return new XMLSerializer().serializeToString(copy)
}
