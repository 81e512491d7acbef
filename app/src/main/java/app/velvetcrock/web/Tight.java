package app.velvetcrock.web;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Leaves one line break of the indentation between elements: the rest is a sixth of a page, and a mark being dragged asks for
 * one every 80 ms. Text with anything in it stays as it is.
 */
@Component
class Tight implements IPostProcessorDialect {

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
