package app.velvetcrock.web.markup;

import app.velvetcrock.core.measure.Worded;
import app.velvetcrock.web.Fields;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;
import org.unbescape.html.HtmlEscape;

/**
 * Marks that forms are written with.
 *
 * <ul>
 *   <li>{@code <option vc:each="${parts}" vc:chosen="${form.part()}">}: an option for each of a list of {@link Worded}
 *   <li>{@code <input vc:field="amount">}: a field by its name, led to by its note, and marked where it is refused; before a
 *       colon stands what tells its id from that of the same field in another form, as in {@code |${prefix}:${field}|}
 *   <li>{@code <a vc:here="${at == 'kit'}">}: the link to the page that is shown
 * </ul>
 */
@Component
class FormMarks extends AbstractProcessorDialect {

    private static final int PRECEDENCE = 1500;

    FormMarks() {
        super("form marks", "vc", PRECEDENCE);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Options(prefix), new Named(prefix), new Here(prefix));
    }

    private static @Nullable Object value(ITemplateContext context, String expression) {
        return StandardExpressions.getExpressionParser(context.getConfiguration())
                .parseExpression(context, expression)
                .execute(context);
    }

    private static final class Options extends AbstractAttributeTagProcessor {

        Options(String prefix) {
            super(TemplateMode.HTML, prefix, "option", false, "each", true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String each,
                IElementTagStructureHandler handler) {
            String chosen = tag.getAttributeValue(attribute.getPrefix(), "chosen");
            String selected = chosen == null ? "" : text(value(context, chosen));
            StringBuilder options = new StringBuilder();
            Object all = value(context, each);
            for (Object one :
                    all instanceof Object[] array ? List.of(array) : (Iterable<?>) Objects.requireNonNull(all)) {
                Worded option = (Worded) one;
                options.append("<option value=\"")
                        .append(HtmlEscape.escapeHtml4Xml(option.name()))
                        .append(option.name().equals(selected) ? "\" selected>" : "\">")
                        .append(HtmlEscape.escapeHtml4Xml(option.word()))
                        .append("</option>");
            }
            handler.replaceWith(options, false);
        }

        private static String text(@Nullable Object value) {
            return value instanceof Worded worded ? worded.name() : value == null ? "" : value.toString();
        }
    }

    private static final class Named extends AbstractAttributeTagProcessor {

        Named(String prefix) {
            super(TemplateMode.HTML, prefix, null, false, "field", true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String said,
                IElementTagStructureHandler handler) {
            String name = said.startsWith("|") ? String.valueOf(value(context, said)) : said;
            int colon = name.indexOf(':');
            String id = name.replace(":", "");
            String field = name.substring(colon + 1);
            handler.setAttribute("name", field);
            handler.setAttribute("id", id);
            handler.setAttribute("aria-describedby", "note-" + id);
            if (context.getVariable("fields") instanceof Fields fields
                    && fields.troubles().containsKey(field)) {
                handler.setAttribute("aria-invalid", "true");
            }
        }
    }

    private static final class Here extends AbstractAttributeTagProcessor {

        Here(String prefix) {
            super(TemplateMode.HTML, prefix, null, false, "here", true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String whether,
                IElementTagStructureHandler handler) {
            if (Boolean.TRUE.equals(value(context, whether))) {
                handler.setAttribute("aria-current", "page");
            }
        }
    }
}
