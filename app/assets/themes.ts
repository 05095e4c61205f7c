/**
 * Steel and heat. Neutral steel greys; one warm accent for the page's main act; verdict colours come second to
 * verdict shapes.
 * `shop` is the light theme for a bright shop, `booth` the dark one.
 */
export const fusilisThemes = {
  shop: {
    dark: false,
    colors: {
      'background': '#eceeee',
      'surface': '#ffffff',
      'surface-variant': '#e1e5e6',
      'on-surface-variant': '#3b464c',
      'on-background': '#1a2226',
      'on-surface': '#1a2226',
      'primary': '#8a4f12',
      'on-primary': '#ffffff',
      'secondary': '#3e4b53',
      'on-secondary': '#ffffff',
      'error': '#a82a14',
      'on-error': '#ffffff',
      'warning': '#8a5a00',
      'success': '#255f4d',
      'info': '#2f5a83',
    },
    variables: { 'border-color': '#4c585f', 'border-opacity': 0.22, 'medium-emphasis-opacity': 0.8 },
  },
  booth: {
    dark: true,
    colors: {
      'background': '#12181b',
      'surface': '#1b2327',
      'surface-variant': '#28333a',
      'on-surface-variant': '#c9d2d6',
      'on-background': '#e8eced',
      'on-surface': '#e8eced',
      'primary': '#e2a052',
      'on-primary': '#1d1304',
      'secondary': '#a9b6bd',
      'on-secondary': '#12181b',
      'error': '#ff8f78',
      'on-error': '#2a0a04',
      'warning': '#e9bd5b',
      'success': '#7fd0b2',
      'info': '#8fc0ec',
    },
    variables: { 'border-color': '#aab6bc', 'border-opacity': 0.25, 'medium-emphasis-opacity': 0.82 },
  },
}
