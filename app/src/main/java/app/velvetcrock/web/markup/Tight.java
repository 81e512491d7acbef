package app.velvetcrock.web.markup;

import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresource.ITemplateResource;

/**
 * Leaves one line break of the indentation between elements, and none within a tag: the rest is a sixth of a page, and a mark
 * being dragged asks for one every 80 ms. Text with anything in it stays as it is.
 */
@Component
class Tight implements IPostProcessorDialect, BeanPostProcessor {

    private final ApplicationContext context;

    Tight(ApplicationContext context) {
        this.context = context;
    }

    @Override
    public String getName() {
        return "tight";
    }

    @Override
    public int getDialectPostProcessorPrecedence() {
        return 1000;
    }

    @Override
    public Set<IPostProcessor> getPostProcessors() {
        return Set.of(new PostProcessor(TemplateMode.HTML, Handler.class, 1000));
    }

    /** Templates are read once; their tags lose their line breaks then. */
    @Override
    public Object postProcessBeforeInitialization(Object bean, String name) {
        if (bean instanceof SpringResourceTemplateResolver plain) {
            Templates templates = new Templates();
            templates.setApplicationContext(context);
            templates.setPrefix(plain.getPrefix());
            templates.setSuffix(plain.getSuffix());
            templates.setTemplateMode(plain.getTemplateMode());
            templates.setCharacterEncoding(plain.getCharacterEncoding());
            templates.setCacheable(plain.isCacheable());
            templates.setOrder(plain.getOrder());
            templates.setCheckExistence(plain.getCheckExistence());
            return templates;
        }
        return bean;
    }

    private static final class Templates extends SpringResourceTemplateResolver {

        @Override
        protected ITemplateResource computeTemplateResource(
                IEngineConfiguration configuration,
                String owner,
                String template,
                String resource,
                String encoding,
                Map<String, Object> attributes) {
            return new Tags(
                    super.computeTemplateResource(configuration, owner, template, resource, encoding, attributes));
        }
    }

    private record Tags(ITemplateResource resource) implements ITemplateResource {

        @Override
        public String getDescription() {
            return resource.getDescription();
        }

        @Override
        public String getBaseName() {
            return resource.getBaseName();
        }

        @Override
        public boolean exists() {
            return resource.exists();
        }

        @Override
        public ITemplateResource relative(String location) {
            return new Tags(resource.relative(location));
        }

        @Override
        public Reader reader() throws IOException {
            try (Reader reader = resource.reader()) {
                StringBuilder text = new StringBuilder();
                char[] some = new char[8192];
                for (int read = reader.read(some); read >= 0; read = reader.read(some)) {
                    text.append(some, 0, read);
                }
                return new StringReader(onOneLine(text));
            }
        }
    }

    /** A template with each of its tags on one line. */
    static String onOneLine(CharSequence template) {
        StringBuilder tight = new StringBuilder(template.length());
        boolean tag = false;
        char quote = 0;
        for (int i = 0; i < template.length(); i++) {
            char sign = template.charAt(i);
            if (!tag) {
                tag = sign == '<' && i + 1 < template.length() && isName(template.charAt(i + 1));
            } else if (quote != 0) {
                quote = sign == quote ? 0 : quote;
            } else if (sign == '"' || sign == '\'') {
                quote = sign;
            } else if (sign == '>') {
                tag = false;
            }
            if (tag && sign == '\n') {
                while (i + 1 < template.length() && Character.isWhitespace(template.charAt(i + 1))) {
                    i++;
                }
                tight.append(' ');
            } else {
                tight.append(sign);
            }
        }
        return tight.toString();
    }

    private static boolean isName(char sign) {
        return Character.isLetter(sign) || sign == '/';
    }

    /** Made anew by the engine for every page. */
    public static final class Handler extends AbstractTemplateHandler {

        @Override
        public void handleText(IText text) {
            String words = text.getText();
            boolean indentation = words.isBlank() && words.indexOf('\n') >= 0;
            super.handleText(indentation ? getContext().getModelFactory().createText("\n") : text);
        }
    }
}
