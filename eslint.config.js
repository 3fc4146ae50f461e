import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

export default typescript.config(
  { ignores: ['public/build/**', 'public/sw.js', 'vendor/**', 'node_modules/**', 'storage/**'] },
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: typescript.parser } } },
  { rules: { 'vue/multi-word-component-names': 'off' } },
  prettier,
)
