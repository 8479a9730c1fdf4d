package calmpour.app.api;

import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.BeanFactoryPostProcessor;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.stereotype.Component;

/**
 * Who reads the OpenAPI document waits for what makes it; the start does not, and a workshop that
 * never reads it does not hold its classes in memory.
 */
@Component
class LazyDocument implements BeanFactoryPostProcessor {
  private static final String MAKER = "org.springdoc.";

  /** It makes the document; */
  private static final String RESOURCE = "openApiResource";

  /** and nothing but its being made tells the document of our records. */
  private static final String REGISTRAR = "modelConverterRegistrar";

  @Override
  public void postProcessBeanFactory(ConfigurableListableBeanFactory beans) {
    for (String name : beans.getBeanDefinitionNames()) {
      BeanDefinition definition = beans.getBeanDefinition(name);
      if (isOf(definition.getBeanClassName()) || isOf(definition.getFactoryBeanName())) {
        definition.setLazyInit(true);
      }
    }
    beans.getBeanDefinition(RESOURCE).setDependsOn(REGISTRAR);
  }

  private static boolean isOf(@Nullable String name) {
    return name != null && name.startsWith(MAKER);
  }
}
