# frozen_string_literal: true

# Every constant in a file's code as Ruby would resolve it there, however it is written: the files
# it leads to.
class ConstantsNamed
  def initialize(file)
    @tree = RubyVM::AbstractSyntaxTree.parse_file(file)
  end

  def files
    @found = []
    walk(@tree, [Object])
    @found.uniq
  end

  private

  def walk(node, nesting)
    return unless node.is_a?(RubyVM::AbstractSyntaxTree::Node)
    return walk_into(node, nesting) if %i[MODULE CLASS].include?(node.type)

    name = path(node)
    name ? look_up(name, nesting) : node.children.each { |child| walk(child, nesting) }
  end

  def walk_into(node, nesting)
    opened = resolve(path(node.children.first), nesting)
    node.children.drop(1).each { |child| walk(child, opened ? [opened, *nesting] : nesting) }
  end

  # "Hobrin::Strategy::Words" of a constant, nil for anything else.
  def path(node)
    return unless node.is_a?(RubyVM::AbstractSyntaxTree::Node)

    case node.type
    when :CONST, :COLON3 then node.children.first.to_s
    when :COLON2
      front, name = node.children
      front ? path(front)&.then { |before| "#{before}::#{name}" } : name.to_s
    end
  end

  # Each constant on the way, so that naming what is inside a later layer counts, too.
  def look_up(name, nesting)
    parts = name.split("::")
    parts.each_index.map { |place| parts[0..place].join("::") }.each do |front|
      owner = resolve(front, nesting)
      next unless owner.is_a?(Module)

      full = Module.instance_method(:name).bind_call(owner)
      @found << Object.const_source_location(full)&.first
    end
  end

  def resolve(name, nesting)
    nesting.each do |scope|
      defined = scope.const_defined?(name.split("::").first, scope != Object)
      return scope.const_get(name) if defined
    rescue NameError
      next
    end
    nil
  end
end
