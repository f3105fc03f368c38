export {
  default,
  default as MaterialIcons,
  default as MaterialDesignIcons,
} from '@expo/vector-icons/MaterialIcons';
