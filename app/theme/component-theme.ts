import type { ThemeConfig } from 'antd';

/**
 * The component library in our own dress. Colours that change between light and dark are set as CSS variables
 * in tokens.css, over those that the library writes from here.
 */
export const componentTheme: ThemeConfig = {
  cssVar: { key: 'app' },
  hashed: false,
  zeroRuntime: true,
  token: {
    fontFamily: "'Libre Franklin Variable', system-ui, sans-serif",
    fontSize: 14,
    colorPrimary: '#1B2636',
    colorError: '#B03A20',
    colorText: '#1B2636',
    colorBgBase: '#FCFAF5',
    colorBorder: '#BDB5A3',
    borderRadius: 2,
    controlHeight: 32,
    motion: false,
  },
};
